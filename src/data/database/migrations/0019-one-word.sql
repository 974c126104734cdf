-- One thing, one word: a job's faults, and ways of working.
ALTER TABLE finding RENAME TO job_fault;
ALTER TABLE customer_school RENAME TO customer_way;
ALTER TABLE customer_way RENAME COLUMN school TO way;
ALTER TABLE job_school RENAME TO job_way;
ALTER TABLE job_way RENAME COLUMN school TO way;
UPDATE setting SET value = json_remove(json_set(value, '$.dragWay', json_extract(value, '$.dragSchool')), '$.dragSchool')
WHERE key = 'shop' AND json_extract(value, '$.dragSchool') IS NOT NULL;
UPDATE setting SET value = json_remove(json_set(value, '$.ways', json(json_extract(value, '$.schools'))), '$.schools')
WHERE key = 'shop' AND json_extract(value, '$.schools') IS NOT NULL;

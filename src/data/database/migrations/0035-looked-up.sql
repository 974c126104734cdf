-- Looked up for every job on a page: without these a shop of many years was read through from its first piece.
CREATE INDEX need_of_job ON need(job_id, position_id);
CREATE INDEX instance_fitted ON instance(fitted_job_id, position_id) WHERE fitted_job_id IS NOT NULL;
CREATE INDEX instance_removed ON instance(removed_job_id) WHERE removed_job_id IS NOT NULL;

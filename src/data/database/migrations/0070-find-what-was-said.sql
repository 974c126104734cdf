-- What a customer reported, and what is noted of them, is found too: a job by its complaint, a customer by address and note.
UPDATE find SET words = words || ' ' || coalesce((SELECT job.complaint FROM job WHERE job.tag = find.ref), '') WHERE kind = 'job';
UPDATE find SET words = words || ' ' || coalesce((SELECT customer.address || ' ' || customer.note FROM customer WHERE CAST(customer.id AS TEXT) = find.ref), '') WHERE kind = 'customer';

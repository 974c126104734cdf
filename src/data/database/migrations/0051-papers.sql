-- Invoices and credit notes: numbered without gaps, never changed and never taken away once they are made.
CREATE TABLE paper (
  number INTEGER PRIMARY KEY CHECK (number >= 1),
  kind TEXT NOT NULL CHECK (kind IN ('invoice', 'credit')),
  -- The invoice a credit note takes back from.
  of_number INTEGER REFERENCES paper(number),
  customer_id INTEGER NOT NULL REFERENCES customer(id),
  on_day TEXT NOT NULL CHECK (on_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  due_on TEXT NOT NULL,
  currency TEXT NOT NULL CHECK (length(currency) = 3),
  tax_basis_points INTEGER NOT NULL CHECK (tax_basis_points BETWEEN 0 AND 10000),
  -- Of a credit note below nothing.
  net_minor INTEGER NOT NULL,
  tax_minor INTEGER NOT NULL,
  lines TEXT NOT NULL CHECK (json_valid(lines)),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id),
  CHECK ((kind = 'credit') = (of_number IS NOT NULL))
) STRICT;
CREATE INDEX paper_of ON paper(of_number) WHERE of_number IS NOT NULL;
CREATE INDEX paper_customer ON paper(customer_id);
CREATE INDEX paper_day ON paper(on_day);
CREATE TABLE paper_job (
  number INTEGER NOT NULL REFERENCES paper(number),
  job_id INTEGER NOT NULL REFERENCES job(id),
  PRIMARY KEY (number, job_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX paper_job_job ON paper_job(job_id);
-- Whom it was made out to, as it was printed; let go of apart when the law lets it.
CREATE TABLE paper_name (
  number INTEGER PRIMARY KEY REFERENCES paper(number),
  name TEXT NOT NULL
) STRICT;
CREATE TABLE payment (
  id INTEGER PRIMARY KEY,
  number INTEGER NOT NULL REFERENCES paper(number),
  -- Below nothing where it was paid back.
  amount_minor INTEGER NOT NULL CHECK (amount_minor <> 0),
  how TEXT NOT NULL CHECK (how IN ('cash', 'card', 'transfer', 'deposit')),
  on_day TEXT NOT NULL CHECK (on_day GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]'),
  at TEXT NOT NULL,
  person_id INTEGER NOT NULL REFERENCES person(id)
) STRICT;
CREATE INDEX payment_paper ON payment(number);

-- What went home before papers had numbers gets them in the order it went.
INSERT INTO paper (number, kind, customer_id, on_day, due_on, currency, tax_basis_points, net_minor, tax_minor, lines, at, person_id)
SELECT row_number() OVER (ORDER BY closed_at, id), 'invoice', customer_id, substr(closed_at, 1, 10), date(substr(closed_at, 1, 10), '+14 days'), currency,
  tax_basis_points, CAST(round(final_total_minor * 10000.0 / (10000 + tax_basis_points)) AS INTEGER),
  final_total_minor - CAST(round(final_total_minor * 10000.0 / (10000 + tax_basis_points)) AS INTEGER),
  json_array(json_object('words', 'Work and parts of ' || tag, 'amountMinor', CAST(round(final_total_minor * 10000.0 / (10000 + tax_basis_points)) AS INTEGER))),
  closed_at, (SELECT min(id) FROM person)
FROM job WHERE closed_at IS NOT NULL AND final_total_minor > 0;
INSERT INTO paper_job (number, job_id)
SELECT row_number() OVER (ORDER BY closed_at, id), id FROM job WHERE closed_at IS NOT NULL AND final_total_minor > 0;
INSERT INTO paper_name (number, name)
SELECT paper.number, coalesce((SELECT name FROM invoice_name WHERE invoice_name.customer_id = paper.customer_id), customer.name)
FROM paper JOIN customer ON customer.id = paper.customer_id
WHERE customer.erased_at IS NULL OR EXISTS (SELECT 1 FROM invoice_name WHERE invoice_name.customer_id = paper.customer_id);
INSERT INTO payment (number, amount_minor, how, on_day, at, person_id)
SELECT number, deposit_minor, 'deposit', substr(opened_at, 1, 10), closed_at, (SELECT min(id) FROM person)
FROM paper_job JOIN job ON job.id = paper_job.job_id WHERE deposit_minor > 0;
INSERT INTO payment (number, amount_minor, how, on_day, at, person_id)
SELECT number, final_total_minor - deposit_minor, coalesce(paid_by, 'cash'), substr(closed_at, 1, 10), closed_at, (SELECT min(id) FROM person)
FROM paper_job JOIN job ON job.id = paper_job.job_id
WHERE final_total_minor <> deposit_minor AND coalesce(paid_by, 'cash') IN ('cash', 'card', 'transfer');

CREATE TRIGGER paper_stays BEFORE UPDATE ON paper BEGIN SELECT RAISE(ABORT, 'a paper is never changed'); END;
CREATE TRIGGER paper_kept BEFORE DELETE ON paper BEGIN SELECT RAISE(ABORT, 'a paper is never taken away'); END;
CREATE TRIGGER payment_stays BEFORE UPDATE ON payment BEGIN SELECT RAISE(ABORT, 'a payment is never changed'); END;
CREATE TRIGGER payment_kept BEFORE DELETE ON payment BEGIN SELECT RAISE(ABORT, 'a payment is never taken away'); END;

-- Once a day, at an hour of their own, people are written what waits for them.
alter table account add column letters boolean not null default true;
alter table account add column letter_hour time not null default '07:00'; -- in the account's zone
alter table membership add column told_on date; -- the last day, in that zone, that was dealt with
alter table membership add column told timestamptz; -- when; what came later is told next

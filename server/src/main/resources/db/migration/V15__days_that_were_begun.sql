-- Until when a day of the demo passes that was begun and has not ended: it is taken up again.
alter table installation add column day_begun timestamptz;

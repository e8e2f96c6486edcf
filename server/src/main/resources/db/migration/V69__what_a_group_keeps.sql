-- All that a member ever said, in the order in which it was said: what a group tends to keep is
-- learned from it once a day, and every night lamps are held against it.
create index on review_event (membership, id);

-- When the oldest arrival of a round came that is not covered. Counts of rounds are worked out
-- anew after this.
alter table round add column waiting_since timestamptz;
update derived set no = -1 where what = 'counts of rounds';

-- All that a member ever said, in the order in which it was said: what a group tends to keep is
-- learned from it once a day, and every night lamps are held against it.
create index on review_event (membership, id);

-- When the oldest arrival of a round came that is not covered. Counts of rounds are worked out
-- anew after this.
alter table round add column waiting_since timestamptz;
update derived set no = -1 where what = 'counts of rounds';
alter table round_member add column rested integer not null default 0;

-- What is let rest waits for nobody, and is not reviewed.
alter table review_event drop constraint review_event_what_check;
alter table review_event add constraint review_event_what_check
  check (what in ('keep', 'pass', 'raise', 'hold', 'hold for text', 'seen', 'rest', 'undo'));

-- What comes again is rare among what came.
create index on occasion (publication) where kind <> 'first coming';

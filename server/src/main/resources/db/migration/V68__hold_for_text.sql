-- Whoever cannot say without the text waits for it; to hold says that one is not sure.
alter table review_event drop constraint review_event_what_check;
alter table review_event add constraint review_event_what_check
  check (what in ('keep', 'pass', 'raise', 'hold', 'hold for text', 'seen', 'undo'));

-- A letter is claimed, handed over and concluded: of these changes the first two shall touch no index (heap-only tuples), so that no index
-- may look at its tries, and its page has room. Those tried for long are among those that go (message_going_out).
drop index message_tried_long;
alter table message set (fillfactor = 80);

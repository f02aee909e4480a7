-- Post is narrowed by whose letters are, what they were written from and what became of them, newest first in each.
create index message_of_member on message (business_id, member_id, at desc, sequence desc);
create index message_of_template on message (business_id, template_id, at desc, sequence desc) where template_id is not null;
create index message_came_in on message (business_id, at desc, sequence desc) where direction = 'in';
create index message_came_back on message (business_id, at desc, sequence desc) where status in ('bounced', 'failed', 'may have arrived');
create index message_going_out on message (business_id, at desc, sequence desc) where status in ('going', 'held');

-- Whether the owners of a business may invite others to make one here: those of the first one may.
alter table business add column invites boolean not null default false;
update business set invites = true where (select count(*) from business) = 1;

-- An invitation to make a business here, known by its hash, good once and for a while. It is of no business yet.
create table invitation (
  token_hash text primary key,
  made_at timestamptz not null,
  expires_at timestamptz not null,
  used_at timestamptz
);

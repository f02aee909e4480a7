-- A template asks for a signature by its key: when it is called otherwise, nothing that asks for it changes. A member and
-- the house may have several, one of them usual.

alter table signature add column key text, add column version integer not null default 1 check (version > 0);

update signature set key = 'signature-' || numbered.n
from (select business_id, id, row_number() over (partition by business_id order by name) as n from signature) numbered
where numbered.business_id = signature.business_id and numbered.id = signature.id;

-- "none" is what a template says that has no signature.
alter table signature alter column key set not null,
  add constraint signature_key unique (business_id, key),
  add check (key <> 'none'), add check (lower(name) <> 'none');

drop index signature_house;
update signature set is_default = true where member_id is null;
create unique index signature_usual_of_house on signature (business_id) where is_default and member_id is null;

update template_version version set head = jsonb_set(head, '{signature}', to_jsonb(signature.key))
from signature
where signature.business_id = version.business_id and version.head ->> 'signature' = signature.name;

-- Who may change what everyone writes with: templates, groups, passages, the house's signatures and letterhead. Owners always may.
alter table member add column changes_shared boolean not null default true;

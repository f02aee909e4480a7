-- Mailboxes that give programs no password: their provider signs people in (OAuth 2.0), and gives what letters are sent with.
alter table sending_account
  drop constraint sending_account_sign_in_check,
  add constraint sending_account_sign_in_check check (sign_in in ('none', 'password', 'provider')),
  -- where that is, and as what it knows this application; what it gave is in the secret
  add column provider jsonb,
  add constraint sending_account_provider_check check ((sign_in = 'provider') = (provider is not null));

/** The account by which a letter leaves, in a query of `message`: its writer's own, else that of the business. */
export const ACCOUNT_OF_LETTER = `select id, version, envelope_address, most from sending_account one
  where one.business_id = message.business_id and (one.member_id = message.member_id or one.member_id is null)
  order by one.member_id is null limit 1`;

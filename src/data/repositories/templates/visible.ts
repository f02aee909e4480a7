/** Templates that a member may see, everyone's and their own, in the trash or not. Binds $business_id and $member_id. */
export const SEEN = `template.business_id = $business_id
  and (template.owner_id is null or template.owner_id = $member_id)`;

/** Those that are not in the trash. */
export const VISIBLE = `${SEEN} and template.deleted_at is null`;

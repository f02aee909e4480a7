/** Takes a letter that is on its way out of the queue, for a person; one that was begun may have arrived. */
export const HOLDING = `status = case when handed_over_at is null then 'held' else 'may have arrived' end,
  goes_at = null, claimed_by = null, claimed_at = null, version = version + 1`;

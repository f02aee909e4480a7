import type { GroupAnswer } from '../../core/contract/groups';
import type { TemplateAnswer } from '../../core/contract/templates';

/** What a change to a group, or a template, is answered with. */
export const CHANGE_STATUS = {
  done: 200,
  taken: 409,
  used: 409,
  overtaken: 409,
  gone: 404,
  wrong: 400,
} as const satisfies Record<(GroupAnswer | TemplateAnswer)['result'], number>;

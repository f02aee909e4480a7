import { TEMPLATE_FORMS, type TemplateForm } from '../../../core/contract/templates';
import { Refused } from '../refused';

/** In which form templates are asked for: ?as=text, json or page. */
export function templateForm(request: Request): TemplateForm {
  const asked = new URL(request.url).searchParams.get('as') ?? 'text';
  const form = TEMPLATE_FORMS.find((one) => one === asked);
  if (!form) throw new Refused(`Templates are taken out as ${TEMPLATE_FORMS.join(', ')}.`, 400);
  return form;
}

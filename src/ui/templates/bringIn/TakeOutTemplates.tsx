import { TEMPLATE_FORMS, type TemplateForm } from '../../../core/contract/templates';

const FORMS: Readonly<Record<TemplateForm, [name: string, says: string]>> = {
  text: ['Text', 'each a text file that anybody can read and write'],
  json: ['JSON', 'for other programs'],
  page: ['Pages', 'HTML, to be read in a browser'],
};

/** Takes all templates out, in one of the forms in which they come in again. */
export function TakeOutTemplates() {
  return (
    <section className="form-part" aria-labelledby="take-out-title">
      <h2 id="take-out-title">Take all of them out</h2>
      <p>
        A zip of all templates that you see, under their groups, with their passages and pictures. It comes in
        again as it went out.
      </p>
      <ul className="take-out-forms">
        {TEMPLATE_FORMS.map((form) => (
          <li key={form}>
            <a href={`/api/templates/files?as=${form}`} className="btn btn-outline-primary btn-sm" download>
              {FORMS[form][0]}
            </a>{' '}
            <span className="entry-note">{FORMS[form][1]}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

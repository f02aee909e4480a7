import Link from 'next/link';
import type { GroupedTemplates } from '../../core/contract/list';
import { StepFoot } from './StepFoot';

/** The letters to begin with: what is made up in them is counted, and leads there. */
export function TemplatesStep({ groups }: { groups: readonly GroupedTemplates[] }) {
  return (
    <>
      <section className="form-part" aria-label="Templates">
        <p>
          These are ready to be sent. What is only made up in them is marked: a letter with such a part cannot
          go until you have said it in your own words.
        </p>
        {groups
          .filter(({ templates }) => templates.length > 0)
          .map(({ key, name, templates }) => (
            <section key={key}>
              <h2>{name}</h2>
              <ul className="record-links">
                {templates.map((template) => (
                  <li key={template.key}>
                    <Link href={`/templates/${template.key}`} prefetch={false}>
                      {template.name}
                    </Link>
                    <span className={`entry-note ${template.unfinished ? 'needs-you' : ''}`}>
                      {template.unfinished
                        ? template.unfinished === 1
                          ? 'one part to replace'
                          : `${template.unfinished} parts to replace`
                        : 'ready'}
                    </span>
                  </li>
                ))}
              </ul>
            </section>
          ))}
      </section>
      <StepFoot step="templates" />
    </>
  );
}

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import type { Refusal } from '../../core/contract/refusal';
import {
  STAYS,
  TEMPLATE_FORMS,
  type TemplateAnswer,
  type TemplateForm,
  type TemplateUses,
} from '../../core/contract/templates';
import { askServer } from '../writing/askServer';

interface Props {
  templateKey: string;
  name: string;
  /** it can only be copied */
  locked: boolean;
}

const FORM_WORDS: Readonly<Record<TemplateForm, string>> = { text: 'text', json: 'JSON', page: 'a page' };

/** What can be done with a template as a whole: copied, taken out, or thrown away once what depends on it was said. */
export function TemplateActs({ templateKey, name, locked }: Props) {
  const [uses, setUses] = useState<TemplateUses>();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const router = useRouter();
  const path = `/api/templates/${encodeURIComponent(templateKey)}`;

  async function act(what: 'copy' | 'trash') {
    setBusy(true);
    setProblem(undefined);
    const answer = await askServer<TemplateAnswer | Refusal>(`${path}/${what}`, {});
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing was done.');
    const { body } = answer;
    if (body.result !== 'done') return setProblem(body.error);
    router.push(what === 'copy' ? `/templates/${body.key}` : '/templates/trash');
    router.refresh();
  }

  async function askBefore() {
    setBusy(true);
    setProblem(undefined);
    const answer = await askServer<TemplateUses | Refusal>(`${path}/uses`);
    setBusy(false);
    if ('offline' in answer) return setProblem('There is no connection. Nothing was done.');
    if ('error' in answer.body) return setProblem(answer.body.error);
    if (answer.body.stays) setProblem(STAYS);
    else setUses(answer.body);
  }

  return (
    <div className="template-acts">
      <button type="button" className="btn btn-link" disabled={busy} onClick={() => void act('copy')}>
        Copy
      </button>
      {!locked && (
        <button type="button" className="btn btn-link" disabled={busy} onClick={() => void askBefore()}>
          Throw away
        </button>
      )}
      <span className="take-out-as">
        Take out as{' '}
        {TEMPLATE_FORMS.map((form) => (
          <a key={form} href={`${path}/file?as=${form}`} className="btn btn-link" download>
            {FORM_WORDS[form]}
          </a>
        ))}
      </span>
      {problem && (
        <p className="trouble" role="alert">
          {problem}
        </p>
      )}
      {uses && (
        <div role="group" aria-label={`Throw ${name} away`} className="before-it-goes">
          <ul>
            {dependsOn(uses).map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <div className="form-foot">
            <Button autoFocus disabled={busy} onClick={() => void act('trash')}>
              Put it in the trash
            </Button>
            <button type="button" className="btn btn-link" onClick={() => setUses(undefined)}>
              Keep it
            </button>
          </div>
        </div>
      )}
    </div>
  );
}

/** What a template's going means, a sentence for each. */
function dependsOn({ letters, waiting, act }: TemplateUses): string[] {
  const words: string[] = [];
  if (act) {
    words.push(
      act.others.length
        ? `For “${act.name}” there ${act.others.length === 1 ? 'is' : 'are'} still ${act.others.map((one) => `“${one}”`).join(' and ')}.`
        : `It is the only one for “${act.name}”: Today will offer none of its own.`,
    );
  }
  if (letters > 0)
    words.push(
      `${letters === 1 ? 'One letter was' : `${letters} letters were`} written from it. They stay as they are.`,
    );
  if (waiting > 0)
    words.push(`${waiting === 1 ? 'One' : waiting} of them has yet to go, and goes all the same.`);
  words.push('It can be put back from the trash.');
  return words;
}

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useController } from 'react-hook-form';
import { ENQUIRY_FORM_FACTS, shownEnquiryForm, type EnquiryFormFacts } from '../../core/contract/enquiryForm';
import type { KeptAnswer } from '../../core/contract/records/keeping';
import { Choice, Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { useKeptForm } from '../forms/useKeptForm';
import { askServer } from '../writing/askServer';
import { copyText } from './copyText';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  facts: EnquiryFormFacts;
  /** where the form is */
  address: string;
  passages: readonly (readonly [key: string, name: string])[];
}

const PATH = '/api/business/enquiry-form';

/** The form for the business's own site: whether it is open, what it asks, where it may stand, what it says afterwards. */
export function EnquiryFormForm({ owner, facts, address, passages }: Props) {
  const router = useRouter();
  const kept = useKeptForm<EnquiryFormFacts>({
    place: `${owner} enquiry form`,
    schema: ENQUIRY_FORM_FACTS as never,
    facts,
    shown: shownEnquiryForm,
    path: PATH,
    onKept: () => router.refresh(),
  });
  return (
    <KeptFormFrame kept={kept}>
      <section className="form-part" aria-label="The form">
        <Check name="is_open" words="The form is open" />
        {facts.is_open ? (
          <WhereItIs key={facts.version} facts={facts} address={address} />
        ) : (
          <p className="field-help">Opened and kept, it has an address.</p>
        )}
        <Field name="intro" label="What stands above it" as="textarea" rows={3} />
        <Check name="asks_service" words="Your services can be chosen" />
        <Choice
          name="passage"
          label="What it says afterwards"
          help="A passage, with what they wrote in it: {{enquiry.name}}, {{enquiry.wanted_on}}."
          options={[['', 'a plain word of thanks'], ...passages]}
        />
        <Field
          name="sites"
          label="Sites that may show it in a frame"
          as="textarea"
          rows={2}
          placeholder="https://house.example"
          help="One a line. Without any it stands on a page of its own."
        />
      </section>
    </KeptFormFrame>
  );
}

function Check({ name, words }: { name: string; words: string }) {
  const { field } = useController({ name });
  return (
    <label className="check form-field">
      <input
        type="checkbox"
        checked={Boolean(field.value)}
        onChange={({ target }) => field.onChange(target.checked)}
      />
      {words}
    </label>
  );
}

function WhereItIs({ facts, address }: Pick<Props, 'facts' | 'address'>) {
  const router = useRouter();
  const [said, setSaid] = useState<string>();
  const frame = `<iframe src="${address}" title="Write to us" width="100%" height="760"></iframe>`;

  async function copy(text: string) {
    const copied = await copyText(text);
    setSaid(copied ? 'Copied.' : 'It could not be copied: mark it and copy it by hand.');
  }

  async function anew() {
    const answer = await askServer<KeptAnswer<EnquiryFormFacts>>(PATH, facts, 'POST');
    if ('offline' in answer) return setSaid('There is no connection. The address stands.');
    if (answer.body.result !== 'kept') return setSaid('Somebody has changed the form. Look at it again.');
    router.refresh();
  }

  return (
    <div className="form-field where-it-is">
      <p>
        <a href={address} target="_blank" rel="noreferrer">
          {address}
        </a>{' '}
        <button type="button" className="btn btn-link" onClick={() => void copy(address)}>
          Copy the address
        </button>
      </p>
      <p>
        <code>{frame}</code>{' '}
        <button type="button" className="btn btn-link" onClick={() => void copy(frame)}>
          Copy it for your site
        </button>
      </p>
      <details className="form-more">
        <summary>Give it another address</summary>
        <p>The one that it has leads nowhere any more, wherever it stands.</p>
        <button type="button" className="btn btn-outline-primary" onClick={() => void anew()}>
          Another address
        </button>
      </details>
      <p role="status">{said}</p>
    </div>
  );
}

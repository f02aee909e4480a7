'use client';

import { useFieldArray, useFormContext, useWatch } from 'react-hook-form';
import { OWN_LINKS, shownOwnLinks, type OwnLinksFacts } from '../../core/contract/records/ownFields';
import { Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { LabelledGroup } from '../forms/Labelled';
import { saidInWords } from '../forms/said';
import { useKeptForm } from '../forms/useKeptForm';
import { useRemoving } from '../forms/useRemoving';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  facts: OwnLinksFacts;
  /** in how many templates each fact is said */
  said: Readonly<Record<string, number>>;
}

/** The links that are kept once, by name. */
export function OwnLinksForm({ owner, facts, said }: Props) {
  const kept = useKeptForm<OwnLinksFacts>({
    place: `${owner} own links`,
    schema: OWN_LINKS as never,
    facts,
    shown: shownOwnLinks,
    path: '/api/business/links',
  });
  return (
    <KeptFormFrame kept={kept}>
      <LinkList said={said} />
    </KeptFormFrame>
  );
}

function LinkList({ said }: Pick<Props, 'said'>) {
  const { control } = useFormContext();
  const { fields, append, remove, insert } = useFieldArray({ control, name: 'links', keyName: 'at' });
  const links = useWatch({ control, name: 'links' }) as { key?: string }[];
  const { note, removing } = useRemoving('links', remove, insert);
  return (
    <section className="form-part" aria-label="Links">
      <LabelledGroup name="links" label="">
        {fields.map(({ at }, i) => {
          const uses = said[`links.${links[i]?.key ?? ''}`] ?? 0;
          return (
            <fieldset key={at} className="form-piece">
              <legend className="visually-hidden">Link {i + 1}</legend>
              <Field name={`links.${i}.name`} label="Called" help="As letters say it: “our review page”." />
              <Field name={`links.${i}.address`} label="Address" type="url" placeholder="https://" />
              {uses > 0 && <p className="field-help">{saidInWords(uses)}</p>}
              <button type="button" className="btn btn-link" onClick={() => removing(i, 'The link')}>
                Take this link out
              </button>
            </fieldset>
          );
        })}
      </LabelledGroup>
      {note}
      <button
        type="button"
        className="btn btn-outline-primary"
        onClick={() => append({ key: '', name: '', address: '' })}
      >
        Add a link
      </button>
    </section>
  );
}

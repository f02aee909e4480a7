'use client';

import type { ClientParts, FormChoices } from '../../core/contract/records/formChoices';
import { shownProject, type ProjectFacts } from '../../core/contract/records/project';
import { CHOICES } from '../../core/records/catalogue/choices';
import type { Act } from '../../core/template/acts';
import { ClientChoice } from '../forms/ClientChoice';
import { CustomFields } from '../forms/CustomFields';
import { Choice, Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { KeyChoice } from '../forms/KeyChoice';
import { useRecordForm, type RecordFormProps } from '../forms/useRecordForm';
import { PlaceFields } from './PlaceFields';
import { useFormClient } from './useFormClient';

interface Props extends RecordFormProps<'project'> {
  choices: FormChoices;
  parts?: ClientParts;
}

/** A job: for whom, what, from when until when, with whom. */
export function ProjectForm({ owner, recordKey, facts, enquiry, choices, parts: given }: Props) {
  const { own, locale, members, partners } = choices;
  const isNew = recordKey === undefined;
  const kept = useRecordForm({
    kind: 'project',
    owner,
    facts,
    own,
    shown: shownProject,
    begunFrom: [facts.client, enquiry].filter(Boolean).join(' '),
    act: (now) => actOf(facts, now, isNew),
    recordKey,
    enquiry,
  });
  const { parts, called, setCalled } = useFormClient(kept, given);
  return (
    <KeptFormFrame kept={kept} button={isNew ? 'Write the job down' : 'Keep'}>
      <section className="form-part" aria-labelledby="project-what">
        <h2 id="project-what">What and for whom</h2>
        <ClientChoice
          name="client"
          label="Client"
          called={called}
          fixed={!isNew}
          onChosen={(_, name) => {
            setCalled(name);
            kept.form.setValue('contacts', []);
          }}
        />
        <Field name="title" label="What the job is called" help="As “new strings for the upright”." />
        <Choice
          name="status"
          label="How far it is"
          options={CHOICES['project.status'].map((one) => [one, one] as const)}
        />
        <Field name="starts_on" label="Begins" type="date" />
        <Field name="ends_on" label="Ends" type="date" />
        <Field name="value" label={`Worth (${own.currency})`} inputMode="decimal" />
        <CustomFields record="project" name="custom" own={own} />
      </section>
      <section className="form-part" aria-labelledby="project-who">
        <h2 id="project-who">Who</h2>
        <Choice
          name="responsible"
          label="Looked after by"
          options={[['', 'nobody in particular'], ...members]}
        />
        <KeyChoice
          name="contacts"
          label="People at the client"
          help="Letters about the job go to the first one that you choose."
          options={parts.contacts}
        />
        <KeyChoice name="partners" label="Partners" options={partners} />
        <Field name="notes" label="Notes" as="textarea" rows={3} help="Clients never see them." />
      </section>
      <section className="form-part" aria-labelledby="project-where">
        <h2 id="project-where">Where</h2>
        <PlaceFields locale={locale} client={parts} />
      </section>
    </KeptFormFrame>
  );
}

function actOf(before: ProjectFacts, now: ProjectFacts, isNew: boolean): Act | undefined {
  if (!isNew && before.status === now.status) return undefined;
  if (now.status === 'finished') return 'job finished';
  return now.status === 'active' || now.status === 'planned' ? 'job begun' : undefined;
}

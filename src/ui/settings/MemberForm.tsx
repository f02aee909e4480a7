'use client';

import type { ReactNode } from 'react';
import { MEMBER_DETAILS, shownMember, type MemberDetails } from '../../core/contract/records/memberDetails';
import { Field } from '../forms/Field';
import { KeptFormFrame } from '../forms/KeptFormFrame';
import { PictureField } from '../forms/PictureField';
import { Said, saidOf } from '../forms/said';
import { useKeptForm } from '../forms/useKeptForm';

interface Props {
  /** whose what is typed is, on this device */
  owner: string;
  memberKey: string;
  details: MemberDetails;
  /** in how many templates each fact is said */
  said?: Readonly<Record<string, number>>;
  button?: string;
  onKept?: () => void;
  children?: ReactNode;
}

/** What letters say of a member. */
export function MemberForm({ owner, memberKey, details, said = {}, button, onKept, children }: Props) {
  const kept = useKeptForm<MemberDetails>({
    place: `${owner} member ${memberKey}`,
    schema: MEMBER_DETAILS,
    facts: details,
    shown: shownMember,
    path: `/api/members/${encodeURIComponent(memberKey)}/details`,
    ...(onKept ? { onKept } : {}),
  });
  return (
    <Said value={saidOf('member', said)}>
      <KeptFormFrame kept={kept} {...(button ? { button, always: true } : {})} beside={children}>
        <section className="form-part" aria-label="What letters say">
          <Field name="full_name" label="Whole name" autoComplete="name" />
          <Field
            name="given_name"
            label="Given name"
            help="Where it is not the first word of the whole one."
            autoComplete="given-name"
          />
          <Field name="family_name" label="Family name" autoComplete="family-name" />
          <Field name="title" label="What you do" help="As “gardener”, “office”." />
          <Field name="phone" label="Telephone" type="tel" autoComplete="tel" />
          <Field name="mobile" label="Mobile" type="tel" />
          <Field
            name="email"
            label="Email address"
            type="email"
            help="Letters come from it, and you sign in with it."
            autoComplete="email"
          />
          <PictureField
            name="picture"
            label="Picture"
            help="For signatures and templates that show who writes."
            alt={details.full_name}
          />
        </section>
      </KeptFormFrame>
    </Said>
  );
}

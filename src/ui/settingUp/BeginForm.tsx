'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { FormProvider, useForm } from 'react-hook-form';
import type { Done } from '../../core/contract/refusal';
import { NEW_BUSINESS, SHORTEST_PASSWORD } from '../../core/contract/settingUp';
import { Choice, Field } from '../forms/Field';
import { askServer } from '../writing/askServer';

interface Props {
  /** ISO 3166-1 alpha-2 with their names, in their order */
  countries: readonly (readonly [code: string, name: string])[];
  /** the likeliest of them */
  country: string;
  /** what an invitation is known by, where there are others here */
  invited?: string | undefined;
}

/** Makes a business here with its owner, who is signed in then. */
export function BeginForm({ countries, country, invited }: Props) {
  const [trouble, setTrouble] = useState<string>();
  const form = useForm({
    resolver: yupResolver(NEW_BUSINESS),
    mode: 'onTouched',
    defaultValues: { name: '', country, full_name: '', email: '', password: '' },
  });
  const { isSubmitting } = form.formState;

  const make = form.handleSubmit(async (asked) => {
    setTrouble(undefined);
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    const answer = await askServer<Done>('/api/business', {
      ...asked,
      languages: navigator.languages.slice(0, 20),
      timeZone,
      ...(invited === undefined ? {} : { invited }),
    });
    if ('offline' in answer)
      return setTrouble('There is no connection to the server. What you wrote is still here.');
    const { error, ...where } = answer.body;
    if (error === undefined) return window.location.assign('/setting-up');
    const field = 'field' in where ? where.field : undefined;
    if (field) form.setError(field as 'name', { message: error }, { shouldFocus: true });
    else setTrouble(error);
  });

  return (
    <FormProvider {...form}>
      <form className="paper sign-in-paper begin" onSubmit={(event) => void make(event)} noValidate>
        <h1 className="wordmark">
          Fair Quill<span aria-hidden="true">.</span>
        </h1>
        <p>
          {invited === undefined ? 'There is no business here yet.' : 'You are invited.'} Make yours: it takes
          a minute, and all of it can be changed later.
        </p>
        <Field name="name" label="Your business is called" autoComplete="organization" autoFocus />
        <Choice
          name="country"
          label="It is in"
          options={countries}
          help="For how dates, sums and addresses are written."
        />
        <Field name="full_name" label="Your name" autoComplete="name" />
        <Field
          name="email"
          label="Your email address"
          type="email"
          autoComplete="username"
          help="You sign in with it, and your letters come from it."
        />
        <Field
          name="password"
          label="A password"
          type="password"
          autoComplete="new-password"
          help={`At least ${SHORTEST_PASSWORD} characters. A few words are best.`}
        />
        <p className="problem" role="alert">
          {trouble}
        </p>
        <Button type="submit" disabled={isSubmitting}>
          {isSubmitting ? 'Making it …' : 'Make my business'}
        </Button>
      </form>
    </FormProvider>
  );
}

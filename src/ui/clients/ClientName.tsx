'use client';

import { useMemo } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { familyName, givenName, greetingName, honorificOf } from '../../core/people/names';
import { Field } from '../forms/Field';

/** A name in one line; how it is read and greeted is shown at once, and each part can be put right. */
export function ClientName({ locale, isNew }: { locale: string; isNew: boolean }) {
  const { control } = useFormContext();
  const [kind, name, given_name, family_name, preferred_name, honorific] = useWatch({
    control,
    name: ['kind', 'name', 'given_name', 'family_name', 'preferred_name', 'honorific'],
  }) as string[];
  const read = useMemo(() => {
    const and = (names: string[]) => new Intl.ListFormat(locale, { type: 'conjunction' }).format(names);
    const record = Object.fromEntries(
      Object.entries({ kind, name, given_name, family_name, preferred_name, honorific }).filter(
        ([, value]) => value,
      ),
    );
    return {
      greeting: greetingName(record, and),
      parts: {
        given_name: givenName(record, and),
        family_name: familyName(record),
        honorific: honorificOf(record),
      },
    };
  }, [locale, kind, name, given_name, family_name, preferred_name, honorific]);
  const isParted = kind !== 'organisation';
  return (
    <>
      <Field
        name="name"
        label="Name"
        autoComplete="off"
        autoFocus={isNew}
        {...(read.greeting ? { help: `Letters begin “Hello ${read.greeting},”.` } : {})}
      />
      {isParted && (
        <details className="form-more">
          <summary>Put parts of the name right</summary>
          <Field name="preferred_name" label="Wants to be called" help="Greets before any other name." />
          <Field
            name="given_name"
            label="Given name"
            {...(read.parts.given_name ? { placeholder: read.parts.given_name } : {})}
          />
          <Field
            name="family_name"
            label="Family name"
            {...(read.parts.family_name ? { placeholder: read.parts.family_name } : {})}
          />
          <Field
            name="honorific"
            label="Mr, Ms, Dr"
            {...(read.parts.honorific ? { placeholder: read.parts.honorific } : {})}
          />
        </details>
      )}
    </>
  );
}

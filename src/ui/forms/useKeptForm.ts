'use client';

import { yupResolver } from '@hookform/resolvers/yup';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';
import { bothChanged } from '../../core/contract/records/bothChanged';
import type { KeptAnswer } from '../../core/contract/records/keeping';
import { newId } from '../shell/newId';
import { askServer } from '../writing/askServer';
import { signInAgain } from '../writing/useWriting';
import { dropHere, keepHere, keptHere } from './keptHere';

interface Options<Facts> {
  /** where what is typed lies on this device until it is kept: whose, and of which record */
  place: string;
  schema: Parameters<typeof yupResolver>[0];
  /** as the server has them */
  facts: Facts;
  /** as the form's controls show them */
  shown: (facts: Facts) => FieldValues;
  /** where they are given to */
  path: string;
  method?: 'POST' | 'PUT';
  /** what is sent along with a new one, beside its facts */
  along?: object;
  /** what is sent, and never kept on the device */
  secret?: string;
  /** @param key of a record that was new */
  onKept?: (kept: Facts, key?: string) => void;
}

/** What a form that keeps a record's facts knows beside their values. */
export interface KeptForm {
  form: UseFormReturn<FieldValues>;
  keep: () => void;
  busy: boolean;
  /** something stands in it that is not kept */
  changed: boolean;
  /** the version that was kept last, or was there when it was opened */
  version: number;
  /** something of what is typed is never kept on the device */
  hasSecret: boolean;
  /** it was typed before, and not kept */
  found: boolean;
  /** what came of keeping it, in words */
  said: { words: string; trouble?: boolean } | undefined;
  /** what somebody else wrote meanwhile where this form says otherwise, by the fact's name */
  disputed: Readonly<Record<string, unknown>>;
  /** goes on with what the other wrote */
  takeTheirs: (name: string) => void;
  /** what is typed goes, what is kept stands */
  throwAway: () => void;
}

/** A form of a record's facts: what is typed stays on the device until it is kept, and a later writer is told. */
export function useKeptForm<Facts extends { version: number }>({
  place,
  schema,
  facts,
  shown,
  path,
  method = 'PUT',
  along,
  secret,
  onKept,
}: Options<Facts>): KeptForm {
  const open = useCallback(
    (facts: Facts | FieldValues) => (secret === undefined ? facts : { ...facts, [secret]: '' }),
    [secret],
  );
  /** the facts that what is typed was begun from */
  const [base, setBase] = useState(facts);
  const { version } = base;
  const [found, setFound] = useState(false);
  const [said, setSaid] = useState<KeptForm['said']>();
  const [disputed, setDisputed] = useState<Record<string, unknown>>({});
  /** of a new record: asked for again, it is the same one */
  const [id, setId] = useState(newId);
  const first = useRef(shown(facts)).current as DefaultValues<FieldValues>;
  const form = useForm<FieldValues>({
    resolver: useMemo(() => {
      const judge = yupResolver(schema);
      return (values, ...rest) => judge({ ...values, version }, ...rest);
    }, [schema, version]),
    mode: 'onTouched',
    defaultValues: first,
  });
  const { isDirty, isSubmitting } = form.formState;
  /** something was changed by a press that came before the form listened, and is done once it does */
  const [early, setEarly] = useState(false);
  useEffect(() => setEarly(JSON.stringify(form.getValues()) !== JSON.stringify(first)), [form, first]);

  useEffect(() => {
    const kept = keptHere(place) as { base: Facts; values: FieldValues; id: string } | undefined;
    if (!kept) return;
    setBase(kept.base);
    setId(kept.id);
    setFound(true);
    form.reset(kept.values, { keepDefaultValues: true });
  }, [place, form]);
  useEffect(() => {
    const { unsubscribe } = form.watch((values, { name }) => {
      // What was put there, not typed, is kept already.
      if (name === undefined) return;
      setSaid(undefined);
      keepHere(place, { base, values: open(values), id });
    });
    return unsubscribe;
  }, [form, place, base, id, open]);

  const settle = (next: Facts) => {
    dropHere(place);
    setId(newId());
    setBase(next);
    setFound(false);
    setEarly(false);
    setDisputed({});
    form.reset(shown(next));
  };

  const keep = form.handleSubmit(
    async (values) => {
      const sent = { ...(values as Facts), version };
      const asked = method === 'POST' ? { ...sent, id, ...along } : sent;
      const answer = await askServer<KeptAnswer<Facts>>(path, asked, method);
      if ('offline' in answer)
        return setSaid({ words: 'There is no connection. What you wrote is still here.', trouble: true });
      const { body } = answer;
      switch (body.result) {
        case 'kept': {
          const next = { ...open(sent), version: body.version } as Facts;
          settle(next);
          setSaid({ words: 'Kept.' });
          return onKept?.(next, body.key);
        }
        case 'overtaken': {
          const { version: _, ...theirs } = body.now;
          const { version: _mine, ...mine } = sent;
          const both = bothChanged(base, theirs, mine);
          setBase(body.now);
          setDisputed(Object.fromEntries(both.disputed.map((name) => [name, theirs[name as never]])));
          form.reset(shown({ ...both.merged, version: body.now.version } as unknown as Facts), {
            keepDefaultValues: true,
          });
          return setSaid({
            words: both.disputed.length
              ? 'Somebody has changed this since you opened it. Where you both wrote something, both are shown: choose, and keep it again.'
              : 'Somebody has changed other facts of it since you opened it. They are taken over: look, and keep it again.',
            trouble: true,
          });
        }
        case 'elsewhere':
          setSaid({ words: 'It goes on there.' });
          return window.location.assign(body.to);
        default: {
          if (body.signedOut) return signInAgain();
          if (body.field) form.setError(body.field, { message: body.error }, { shouldFocus: true });
          else setSaid({ words: body.error, trouble: true });
        }
      }
    },
    () => setSaid({ words: 'It is not kept yet: something in it is marked.', trouble: true }),
  );

  return {
    form,
    keep: () => void keep(),
    busy: isSubmitting,
    changed: isDirty || early || found,
    version,
    hasSecret: secret !== undefined,
    found,
    said,
    disputed,
    takeTheirs: (name) => {
      const theirs = shown({ ...base, [name]: disputed[name] })[name] as unknown;
      form.setValue(name, theirs, { shouldDirty: true });
      setDisputed(({ [name]: _, ...others }) => others);
    },
    throwAway: () => settle(facts.version > version ? facts : base),
  };
}

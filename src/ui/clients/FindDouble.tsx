'use client';

import { useRouter } from 'next/navigation';
import { FormProvider, useForm } from 'react-hook-form';
import { ClientChoice } from '../forms/ClientChoice';

/** Finds the other record of a client, where it has neither name nor number in common. */
export function FindDouble({ here, clientKey }: { here: string; clientKey: string }) {
  const router = useRouter();
  const form = useForm({ defaultValues: { other: '' } });
  return (
    <FormProvider {...form}>
      <ClientChoice
        name="other"
        label="Another client"
        called={undefined}
        onChosen={(key) => {
          if (key && key !== clientKey) router.push(`${here}?with=${encodeURIComponent(key)}`);
        }}
      />
    </FormProvider>
  );
}

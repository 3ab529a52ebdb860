import { useEffect, useState } from 'react';
import { useForm, useWatch, type DefaultValues, type FieldValues, type Resolver, type UseFormReturn } from 'react-hook-form';

/** What is typed into a form, kept on this device until it is sent: closing the page loses nothing. */
export function useDraft<T extends FieldValues>(
  key: string,
  make: () => T,
  resolver: Resolver<T>,
): { form: UseFormReturn<T>; draft: T; change: (part: Partial<T>) => void; clear: () => void } {
  const name = `bunkhouse.draft.${key}`;
  const [first] = useState(() => ({ ...make(), ...read<T>(name) }));
  const form = useForm<T>({ defaultValues: first as DefaultValues<T>, resolver });
  const draft = useWatch({ control: form.control }) as T;
  useEffect(() => form.subscribe({ formState: { values: true }, callback: ({ values }) => keep(name, values) }), [form, name]);
  return {
    form,
    draft,
    change: (part) => {
      for (const [field, value] of Object.entries(part)) form.setValue(field as never, value as never, { shouldDirty: true });
    },
    clear: () => {
      form.reset(make());
      localStorage.removeItem(name);
    },
  };
}

function read<T>(name: string): Partial<T> {
  try {
    return JSON.parse(localStorage.getItem(name) ?? '{}') as Partial<T>;
  } catch {
    return {};
  }
}

function keep(name: string, draft: object) {
  try {
    localStorage.setItem(name, JSON.stringify(draft));
  } catch {
    // The device is full: the form still works, it is only not kept.
  }
}

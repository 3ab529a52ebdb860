import { useRef, useState } from 'react';
import { useForm, type DefaultValues, type FieldValues, type Path, type Resolver, type UseFormReturn } from 'react-hook-form';
import { Refusal } from '../../data/request';
import { homeOf, rulesOf, type ToldFault } from '../rulesOf';

/** A request that is being written, by its own rules. */
export interface RequestForm<T extends FieldValues> {
  form: UseFormReturn<T>;
  /** Checks it and sends it, with what one button says otherwise, this once. Every fault, the house's too, stands at its field. */
  submit: (more?: Partial<T>) => Promise<void>;
  /** what the house would not have, at no field of its own */
  fault: string | null;
  busy: boolean;
}

interface SendingOptions<T extends FieldValues> {
  first: DefaultValues<T>;
  send: (request: T) => Promise<unknown>;
  onDone?: () => void;
  /** where a field that the house names stands in this form */
  fieldOf?: (field: string) => string;
}

interface RequestFormOptions<T extends FieldValues> extends Omit<SendingOptions<T>, 'fieldOf'> {
  /** what is wrong beyond the request's own rules */
  also?: (request: T) => readonly ToldFault[];
}

/**
 * A form of one request: begun with `first`, sent by `send`, and then `onDone`.
 * Nothing is told before somebody sends it; from then on each fault goes as it is mended.
 */
export const useRequestForm = <T extends FieldValues>(shape: new () => T, { also, ...options }: RequestFormOptions<T>): RequestForm<T> =>
  useSendingForm(rulesOf(shape, also), options);

/** The same of what is not a request yet, by rules of its own. */
export function useSendingForm<T extends FieldValues>(
  resolver: Resolver<T>,
  { first, send, onDone, fieldOf = (field) => field }: SendingOptions<T>,
): RequestForm<T> {
  // The names of the fields that are shown, as the form library last said them.
  const shown = useRef<readonly string[]>([]);
  const form = useForm<T>({
    defaultValues: first,
    resolver: (values, context, options) => {
      if ((options.names?.length ?? 0) !== 1) shown.current = options.names ?? [];
      return resolver(values, context, options);
    },
  });
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const submit = async (more?: Partial<T>) => {
    if (busy) return;
    setFault(null);
    await form.handleSubmit(async (request) => {
      setBusy(true);
      try {
        await send({ ...request, ...more });
        onDone?.();
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        for (const { field, message } of error.errors) form.setError(homeOf(fieldOf(field), shown.current) as Path<T>, { type: 'house', message });
        if (error.errors.length === 0) setFault(error.message);
      } finally {
        setBusy(false);
      }
    })();
  };
  return { form, submit, fault: fault ?? form.formState.errors.root?.message ?? null, busy };
}

'use client';

import { useEffect, useRef } from 'react';
import { useForm, useWatch, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';

const PLACE = 'bouncy-echo-form';

function read(place: string): unknown {
  try {
    return JSON.parse(sessionStorage.getItem(`${PLACE} ${place}`) ?? 'null');
  } catch {
    return null;
  }
}

function write(place: string, values: unknown): void {
  try {
    if (values === null) sessionStorage.removeItem(`${PLACE} ${place}`);
    else sessionStorage.setItem(`${PLACE} ${place}`, JSON.stringify(values));
  } catch {
    // A browser that keeps nothing: what was filled in is there as long as the page.
  }
}

interface KeptForm<T extends FieldValues> {
  readonly form: UseFormReturn<T>;
  /** What is filled in now. */
  readonly values: T;
  /** What was filled in is kept by the server, and need not be kept here. */
  readonly done: (values: T) => void;
}

/**
 * A form whose content outlives an error and a reload: what was changed is kept in this tab until it is saved. Nothing
 * about children goes in here.
 *
 * @param place which form it is
 * @param usual what stands in it at first
 * @example const { form, values } = useKeptForm('new-plan', { minutes: '8' });
 */
export function useKeptForm<T extends FieldValues>(place: string, usual: DefaultValues<T> & T): KeptForm<T> {
  const form = useForm<T>({ defaultValues: usual });
  const { control, reset, getValues } = form;
  const { isDirty } = form.formState;
  const watched = useWatch({ control });
  const awake = useRef(false);
  useEffect(() => {
    const kept = read(place);
    if (kept && typeof kept === 'object') reset({ ...getValues(), ...kept }, { keepDefaultValues: true });
    awake.current = true;
  }, [place, reset, getValues]);
  useEffect(() => {
    if (awake.current && isDirty) write(place, getValues());
  }, [watched, isDirty, place, getValues]);
  return {
    form,
    values: { ...usual, ...watched },
    done: (values) => {
      write(place, null);
      reset(values);
    },
  };
}

/** What an action reads from a form, from values by name. Example: `formOf({ minutes: '8' }).get('minutes') // '8'`. */
export function formOf(values: Readonly<Record<string, string>>): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(values)) form.set(name, value);
  return form;
}

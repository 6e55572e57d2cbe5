'use client';

import { useEffect, useRef } from 'react';
import { useForm, useWatch, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form';

const PLACE = 'bouncy-echo-form';

/** What is kept in this tab under a name; null where there is nothing. */
export function keptHere(place: string): unknown {
  try {
    return JSON.parse(sessionStorage.getItem(`${PLACE} ${place}`) ?? 'null');
  } catch {
    return null;
  }
}

/** Keeps something in this tab, through a reload; null lets go of it. */
export function keepHere(place: string, values: unknown): void {
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
  /** Something is filled in that is not kept by the server yet. */
  readonly changed: boolean;
  /** Everything stands again as it did. */
  readonly putBack: () => void;
  /** What was filled in is kept by the server, and need not be kept here. */
  readonly done: (values: T) => void;
}

/**
 * A form whose content outlives an error, another page and a reload: what was changed is kept in this tab until it is
 * saved, and gone when the tab is closed. No secret goes in here.
 *
 * @param place which form it is
 * @param usual what stands in it at first
 * @example const { form, values } = useKeptForm('new-plan', { minutes: '8' });
 */
export function useKeptForm<T extends FieldValues>(place: string, usual: DefaultValues<T> & T): KeptForm<T> {
  const form = useForm<T>({ defaultValues: usual });
  const { control, reset, getValues, subscribe } = form;
  const { isDirty } = form.formState;
  const watched = useWatch({ control });
  /** What the server has, as text. */
  const served = useRef(JSON.stringify(usual));
  useEffect(() => {
    const kept = keptHere(place);
    if (kept && typeof kept === 'object') reset({ ...getValues(), ...kept }, { keepDefaultValues: true });
    // At once, not when it is drawn: a page may go between the two.
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => keepHere(place, JSON.stringify(values) === served.current ? null : values),
    });
  }, [place, reset, getValues, subscribe]);
  const stand = (values?: T): void => {
    if (values) served.current = JSON.stringify(values);
    reset(values);
    keepHere(place, null);
  };
  return { form, values: { ...usual, ...watched }, changed: isDirty, putBack: () => stand(), done: stand };
}

/** One field of text that outlives an error, another page and a reload. */
export interface KeptText {
  readonly text: string;
  readonly setText: (next: string) => void;
  /** It is done with: the field begins anew. */
  readonly done: (next?: string) => void;
}

/**
 * The text of one field, kept in this tab until it is done with.
 * @param place which field it is
 * @example const { text, setText, done } = useKeptText('new group');
 */
export function useKeptText(place: string, usual = ''): KeptText {
  const { form, values, done } = useKeptForm(place, { text: usual });
  return {
    text: values.text,
    setText: (text) => form.setValue('text', text, { shouldDirty: true }),
    done: (text = '') => done({ text }),
  };
}

/** What an action reads from a form, from values by name. Example: `formOf({ minutes: '8' }).get('minutes') // '8'`. */
export function formOf(values: Readonly<Record<string, string>>): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(values)) form.set(name, value);
  return form;
}

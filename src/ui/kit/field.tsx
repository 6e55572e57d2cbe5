'use client';

import { Label as Radix } from 'radix-ui';
import type { ReactNode } from 'react';

interface FieldProps {
  readonly label: ReactNode;
  /** The id of the control it names. */
  readonly htmlFor: string;
  readonly hint?: ReactNode;
  readonly children: ReactNode;
  /** Label and control in one line. */
  readonly inline?: boolean;
}

/** A control with its name over it, or before it, and a word of help under it. */
export const Field = ({ label, htmlFor, hint, children, inline = false }: FieldProps) => (
  <div className={inline ? 'flex items-center gap-2' : ''}>
    <Radix.Root htmlFor={htmlFor} className={inline ? 'text-muted' : 'mb-1.5 block'}>
      {label}
    </Radix.Root>
    {children}
    {hint && <p className="mt-1 text-muted">{hint}</p>}
  </div>
);

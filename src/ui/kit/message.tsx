import { clsx } from 'clsx';
import type { ReactNode } from 'react';

interface ErrorMessageProps {
  readonly className?: string;
  /** Nothing where all is well. */
  readonly children: ReactNode;
}

/** What went wrong, what is kept and what to do: read out at once. */
export const ErrorMessage = ({ className, children }: ErrorMessageProps) =>
  children ? (
    <p role="alert" className={clsx('border-l-4 border-red py-1 pl-4 text-red', className)}>
      {children}
    </p>
  ) : null;

/** An empty place: what will be here and how to start it. */
export const Empty = ({ title, children }: { title: string; children: ReactNode }) => (
  <section className="max-w-prose py-10">
    <h2 className="mb-2 text-2xl">{title}</h2>
    <div className="text-muted">{children}</div>
  </section>
);

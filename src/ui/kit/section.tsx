import type { ReactNode } from 'react';

interface SectionProps {
  readonly id: string;
  readonly title: ReactNode;
  /** How its heading looks. */
  readonly heading?: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** A part of a screen under a heading, which names it for whoever hears the screen. */
export const Section = ({ id, title, heading = 'mb-1 text-xl', className, children }: SectionProps) => (
  <section aria-labelledby={id} className={className}>
    <h2 id={id} className={heading}>
      {title}
    </h2>
    {children}
  </section>
);

/** What a line is for: to be said, or to listen for. */
export const ROLE = { say: 'bg-marigold-soft', listen: 'bg-slate-soft' } as const;

interface TagProps {
  readonly tone: (typeof ROLE)[keyof typeof ROLE];
  readonly children: string;
}

export const Tag = ({ tone, children }: TagProps) => (
  <span className={`min-w-20 shrink-0 rounded-full px-3.5 py-0.5 text-center font-word font-bold ${tone}`}>
    {children}
  </span>
);

/** A picture that shows the word; the word itself stands beside it, so that it needs no text of its own. */
export const Picture = ({ code, size }: { code: string; size: number }) => (
  <img src={`/pictures/${code}.svg`} alt="" width={size} height={size} loading="lazy" />
);

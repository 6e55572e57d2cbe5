/** A child’s plant, as high as the line it stands in; the name beside it says whose it is. */
export const Plant = ({ id }: { readonly id: string }) => (
  <img src={`/plants/${id}.svg`} alt="" className="inline-block size-[1.35em] shrink-0" />
);

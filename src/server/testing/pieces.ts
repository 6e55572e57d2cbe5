/** All pieces of something that is made bit by bit, as one. */
export async function together(pieces: AsyncGenerator<Uint8Array>): Promise<Uint8Array> {
  const all: Uint8Array[] = [];
  for await (const piece of pieces) all.push(piece);
  return Buffer.concat(all);
}

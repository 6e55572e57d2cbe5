/** A part of an address as text; as it is where it cannot be decoded. Example: `decoded('%C3%A9') // 'é'`. */
export function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}

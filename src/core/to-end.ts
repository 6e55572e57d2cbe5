/** Does work that could pause, without a pause. Example: `toEnd(planInParts(material, request))`. */
export function toEnd<T>(work: Generator<undefined, T>): T {
  for (let part = work.next(); ; part = work.next()) if (part.done) return part.value;
}

/** Fills the slots of a text; an unknown slot stays as it stands, so that it is seen. Example: `fill('{word}?', { word: 'sun' }) // 'sun?'`. */
export const fill = (text: string, slots: Readonly<Record<string, string>>): string =>
  text.replace(/\{(\w+)\}/g, (whole, name: string) => slots[name] ?? whole);

/** The text with every slot left open, for when children can see the screen. Example: `covered('Listen: {word}.') // 'Listen: ….'`. */
export const covered = (text: string): string => text.replace(/\{\w+\}/g, '…');

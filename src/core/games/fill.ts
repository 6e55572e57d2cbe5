/**
 * Fills the slots of a text and begins it with a capital; an unknown slot stays as it stands, so that it is seen.
 * @example fill('{word}. Clap it.', { word: 'sun' }) // 'Sun. Clap it.'
 */
export const fill = (text: string, slots: Readonly<Record<string, string>>): string => {
  const filled = text.replace(/\{(\w+)\}/g, (whole, name: string) => slots[name] ?? whole);
  return filled.charAt(0).toUpperCase() + filled.slice(1);
};

/**
 * The text with every slot left open, for when children can see the screen.
 * @example covered('Listen: {word}.') // 'Listen: ….'
 */
export const covered = (text: string): string => text.replace(/\{\w+\}/g, '…');

/** Every sentence of this room, file by file: read it aloud before you change it. */

export const sendWaiting = {
  oneTap: 'One tap',
  taps: (aside: number) => `${aside} taps`,
  deviceCouldAdded: (many: string, list: string) => `${many} on this device couldn’t be added to the session: ${list}`,
  saveFile: 'Save as a file',
  removeDevice: 'Remove from this device',
  tapsCouldKept: 'Taps that weren’t saved',
} as const;

/**
 * What an act answers when the server cannot be reached.
 * @param then what that means for the person, in a sentence
 * @example rename(id, name).catch(unreached('Nothing was changed.'))
 */
export const unreached =
  (then = 'Please try again in a moment.') =>
  (): { readonly ok: false; readonly error: string } => ({
    ok: false,
    error: `We can’t reach the server. ${then}`,
  });

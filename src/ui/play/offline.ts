/** The service worker that opens Play without a server: told which page to keep, and when to let it go. */
async function tell(message: { readonly keep?: string; readonly forget?: string }): Promise<void> {
  // Over plain http on another host name a browser has none: answers are kept all the same.
  // While the code is worked on, a kept page would hide what has changed.
  if (!('serviceWorker' in navigator) || process.env.NODE_ENV !== 'production') return;
  try {
    await navigator.serviceWorker.register('/sw.js');
    (await navigator.serviceWorker.ready).active?.postMessage(message);
  } catch {
    // Not allowed here (a private window): the page needs the server to be opened again.
  }
}

export const keepPage = (path: string): Promise<void> => tell({ keep: path });
export const forgetPage = (path: string): Promise<void> => tell({ forget: path });

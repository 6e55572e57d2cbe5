/** Light for daylight, dim for nap time. Kept on the device. */
export type Look = 'light' | 'dim';

export const LOOK_PLACE = 'bouncy-echo-look';

/** Stands in the head of every page, so that nothing flashes before the look is known. */
export const LOOK_SCRIPT =
  `try{document.documentElement.dataset.look=` + `localStorage.getItem('${LOOK_PLACE}')==='dim'?'dim':'light'}catch{}`;

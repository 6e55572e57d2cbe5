import { useEffect, type RefObject } from 'react';

/** How large what stands in a place may be, the largest first. */
const SIZES = [1, 0.94, 0.88, 0.82, 0.76, 0.7, 0.64, 0.58, 0.52, 0.46, 0.4, 0.34] as const;

/** A pixel is lost in rounding. */
const spills = (box: Element): boolean =>
  box.scrollHeight > box.clientHeight + 1 || box.scrollWidth > box.clientWidth + 1;

/** True where something in a place reaches over its edge, or over that of a box inside it. */
const overfull = (place: HTMLElement): boolean =>
  spills(place) || [...place.querySelectorAll('[data-box]')].some(spills);

/** Sets the largest size at which everything in a place can be seen; the smallest there is where none will do. */
function fitPlace(place: HTMLElement): void {
  const fitsAt = (at: number): boolean => {
    place.style.setProperty('--fit', String(SIZES[at]));
    return !overfull(place);
  };
  if (fitsAt(0)) return;
  // The largest that fits lies after `low` and not after `high`.
  let [low, high] = [0, SIZES.length - 1];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (fitsAt(middle)) high = middle;
    else low = middle;
  }
  fitsAt(high);
}

/**
 * Keeps everything in every place of a frame (`.fit`) in sight: after each change, before it is painted, what stands
 * there is made as large as it can be.
 */
export function useFit(frame: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const root = frame.current;
    if (!root) return;
    const fitAll = (): void => root.querySelectorAll<HTMLElement>('.fit').forEach(fitPlace);
    const resized = new ResizeObserver(fitAll);
    const changed = new MutationObserver((records) => {
      const places = new Set<HTMLElement>();
      for (const { target, addedNodes } of records) {
        const around = (target instanceof Element ? target : target.parentElement)?.closest<HTMLElement>('.fit');
        if (around) places.add(around);
        // A place that is new, or a box with such places in it.
        else
          for (const node of addedNodes)
            if (node instanceof HTMLElement) {
              if (node.matches('.fit')) places.add(node);
              node.querySelectorAll<HTMLElement>('.fit').forEach((place) => places.add(place));
            }
      }
      for (const place of places) {
        resized.observe(place);
        fitPlace(place);
      }
    });
    changed.observe(root, { childList: true, characterData: true, subtree: true });
    // Another screen, another way up, larger text.
    resized.observe(root);
    // Places are as large as before when the text is larger: this is not.
    const rem = document.createElement('span');
    rem.style.cssText = 'position:absolute;visibility:hidden;width:1rem;height:1rem';
    rem.ariaHidden = 'true';
    root.append(rem);
    resized.observe(rem);
    root.querySelectorAll('.fit').forEach((place) => resized.observe(place));
    void document.fonts.ready.then(fitAll);
    return () => {
      changed.disconnect();
      resized.disconnect();
      rem.remove();
    };
  }, [frame]);
}

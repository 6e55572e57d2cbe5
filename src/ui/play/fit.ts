import { useEffect, type RefObject } from 'react';

/** How large what stands in a place may be, the largest first. */
const SIZES = [1, 0.94, 0.88, 0.82, 0.76, 0.7, 0.64, 0.58, 0.52, 0.46, 0.4, 0.34] as const;

/** A pixel is lost in rounding. */
const spills = (box: Element): boolean =>
  box.scrollHeight > box.clientHeight + 1 || box.scrollWidth > box.clientWidth + 1;

/** What is scrolled away is not laid out to be asked. */
const SEEN = { contentVisibilityAuto: true } as const;

/** True where something in a place reaches over its edge, or over that of a box inside it. */
const overfull = (place: HTMLElement): boolean =>
  spills(place) || [...place.querySelectorAll('[data-box]')].some((box) => box.checkVisibility(SEEN) && spills(box));

const sizeOf = (place: HTMLElement): number => Number(place.style.getPropertyValue('--fit') || 1);

/** Sets the largest size at which everything in a place can be seen; the smallest there is where none will do. */
function shrink(place: HTMLElement): void {
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

/** What stands in a place, as far as its size depends on it. */
const contentOf = (place: HTMLElement): string => `${place.dataset.zone ?? ''} ${place.textContent ?? ''}`;

/**
 * Makes places fit. What fits as it is costs one reading of the page, which the frame needs anyway; what was made to
 * fit before is not measured again.
 */
function makeFitter() {
  const known = new Map<string, number>();
  return {
    /** The screen or the text has another size: what was known is not known any more. */
    forget: (): void => known.clear(),
    fit: (places: Iterable<HTMLElement>): void => {
      const unknown: HTMLElement[] = [];
      for (const place of places) {
        const size = known.get(contentOf(place));
        if (size === undefined) unknown.push(place);
        else if (size !== sizeOf(place)) place.style.setProperty('--fit', String(size));
      }
      // All are read before any is changed.
      const tight = unknown.filter((place) => sizeOf(place) !== 1 || overfull(place));
      tight.forEach(shrink);
      for (const place of unknown) known.set(contentOf(place), sizeOf(place));
    },
  };
}

/**
 * Keeps everything in every place of a frame (`.fit`) in sight: after each change, before it is painted, what stands
 * there is made as large as it can be.
 */
export function useFit(frame: RefObject<HTMLElement | null>): void {
  useEffect(() => {
    const root = frame.current;
    if (!root) return;
    const fitter = makeFitter();
    const fitAll = (): void => {
      fitter.forget();
      fitter.fit(root.querySelectorAll<HTMLElement>('.fit'));
    };
    const resized = new ResizeObserver(fitAll);
    const watched = new WeakSet<Element>();
    // Watched again, a place would be told of again.
    const watch = (place: Element): void => {
      if (watched.has(place)) return;
      watched.add(place);
      resized.observe(place);
    };
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
      places.forEach(watch);
      fitter.fit(places);
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
    root.querySelectorAll('.fit').forEach(watch);
    void document.fonts.ready.then(fitAll);
    return () => {
      changed.disconnect();
      resized.disconnect();
      rem.remove();
    };
  }, [frame]);
}

const CUTS = `
fave-rit:favourite vej-ta-ble:vegetable diff-rent:different cup-board lamp-post sow-er:sour ow-er:hour
with-out be-tween use-ful love-ly pid-geon:pigeon sand-wich sand-wich-es ex-ci-ted caf-ay:cafe wim-in:women
biz-y:busy en-y-one:anyone en-y-thing:anything men-y:many ohn-ly:only muth-er:mother bruth-er:brother
uth-er:other a-nuth-er:another mun-ey:money hun-ey:honey hun-ey-comb:honeycomb cuv-er:cover cul-our:colour
wun-der:wonder wun-der-ful:wonderful wurr-y:worry wurr-ied:worried munk-ey:monkey munk-eys:monkeys
stum-ach:stomach uv-en:oven shuv-el:shovel di-scuv-er:discover un-ion:onion cuz-in:cousin dub-le:double
hev-y:heavy red-y:ready med-ow:meadow feth-er:feather feth-ers:feathers weth-er:weather leth-er:leather
lep-ard:leopard jel-ous:jealous shug-ar:sugar swol-low:swallow sam-on:salmon siz-zors:scissors an-ser:answer
eye-land:island lar-ma:llama o-ver-alls dan-ger-ous cau-li-flou-er:cauliflower tel-e-vi-sion
mu-zi-shun:musician
`;

/**
 * Words whose own letters would be read otherwise in a beat alone: *moth-er*, *read-y*, *is-land*. Each was said aloud.
 * A cut whose letters are not those of the word names it after a colon.
 */
export const OWN_CUTS: ReadonlyMap<string, readonly string[]> = new Map(
  CUTS.trim()
    .split(/\s+/)
    .map((entry) => {
      const [cut = '', word = cut.replaceAll('-', '')] = entry.split(':');
      return [word, cut.split('-')] as const;
    }),
);

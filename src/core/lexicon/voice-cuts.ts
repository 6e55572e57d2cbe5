const CUTS = `
fave-rit:favourite vej-ta-ble:vegetable diff-rent:different cub-urd:cupboard lamp-post sou-er:sour ow-er:hour with-out
be-tween use-ful love-ly pid-geon:pigeon sand-wich sand-wich-es ex-ci-ted caf-ay:cafe wim-in:women biz-y:busy
en-y-one:anyone en-y-thing:anything men-y:many ohn-ly:only muth-er:mother bruth-er:brother uth-er:other
a-nuth-er:another mun-ey:money hun-ey:honey hun-ey-comb:honeycomb cuv-er:cover cul-our:colour wun-der:wonder
wun-der-ful:wonderful wurr-y:worry wurr-ied:worried munk-ey:monkey munk-eys:monkeys stum-uck:stomach uv-en:oven
shuv-el:shovel di-scuv-er:discover un-ion:onion cuz-in:cousin dub-ble:double hev-y:heavy red-y:ready med-ow:meadow
feth-er:feather feth-ers:feathers weth-er:weather leth-er:leather lep-ard:leopard jel-ous:jealous shoog-ar:sugar
swol-low:swallow sam-on:salmon siz-zors:scissors an-ser:answer eye-land:island lar-ma:llama o-ver-alls
dane-jer-us:dangerous coll-i-flou-er:cauliflower tel-e-vi-sion mu-zi-shun:musician cu-come-ber:cucumber ti-gur:tiger
ti-gurs:tigers fing-gur:finger fing-gurs:fingers fing-gur-nail:fingernail ang-gur:anger bur-gur:burger long-gur:longer
long-gest:longest pair-ent:parent cair-er:carer scair-y:scary waw-ter:water waw-ter-fall:waterfall
waw-ter-proof:waterproof un-der-waw-ter:underwater waw-ter-ing:watering wawl-nut:walnut wol-rus:walrus walk-er
talk-ing all-ways:always all-most:almost raz-ber-ry:raspberry o-shun:ocean prit-ty:pretty spesh-ul:special
sole-jer:soldier woo-man:woman sub-ma-reen:submarine tan-jer-een:tangerine oh-ber-zheen:aubergine
tam-bor-een:tambourine tram-po-leen:trampoline ma-sheen:machine col-lahzh:collage po-leess:police mus-tahsh:moustache
de-lish-us:delicious ang-ker:anchor me-kan-ic:mechanic sy-en-tist:scientist seer-ee-al:cereal thee-a-ter:theatre
smooth-ie pa-pie-a:papaya pi-jah-mas:pyjamas pi-jah-mas:pajamas tah-co:taco ar-gyoo:argue ee-mew:emu a-buv:above
ca-noo:canoe doo-vay:duvet eye-urn:iron lis-sen:listen mus-sel:muscle whis-sle:whistle thiss-ul:thistle kee-wee:kiwi
ko-ah-la:koala wof-fle:waffle peet-za:pizza sah-ri:sari cha-pah-ti:chapati gih-tar:guitar koh-koh:cocoa
cor-zhet:courgette ji-raff:giraffe pee-ple:people byoo-ti-ful:beautiful vac-yoom:vacuum koos-koos:couscous
dez-ert:dessert prac-tiss:practise zy-lo-phone:xylophone yoo-ku-lay-lee:ukulele shole-der:shoulder gole-den:golden
bay-gul:bagel pay-jiz:pages plezh-er:pleasure mezh-er:measure trezh-er:treasure sen-ter:centre bad-jer:badger
bud-jie:budgie brid-jiz:bridges rai-zin:raisin dane-jer:danger ane-jel:angel jy-ant:giant jen-tle:gentle
jin-jer:ginger jer-bil:gerbil en-jin:engine soss-ij:sausage soss-ij-iz:sausages too-can:toucan swet-er:sweater
fah-ther:father ba-nah-na:banana lay-dy-bird:ladybird lay-dy:lady
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

import { lineText, type Bit } from '../answers/line-text';
import type { Item } from '../games/item';

/**
 * What may never stand on a screen or a page beside a child, however it came about: rude words, slurs and names for
 * peoples, drugs, violence, and spellings that would be read aloud as one. Written by hand, from no list of this
 * project; common practice, no source. Checked as whole words.
 */
const WRITTEN = `
anal anus arse arses arsed arsehole ass asses arss bastard bich biches bitch bitches bitching bloody bollock bollocks
boner bonk bonked bonking boob boobs boobies bugger buggers buggered bum bums bumming bumhole butt butts chav chink
chinks chinky cock cocks cok coks kok koks coon coons koon koons crap craps crappy krap kraps cripple cum cums cumming
kum kums cunt cunts kunt kunts damn damned dick dicks dik diks dike dikes dyke dykes dildo dogging fag fags fagg faggot
faggots fanny fannies fart farts farted farting feck fecking felch fuk fuks fuck fucks fucked fucker fucking gimp gimps
git gits goolies gook gooks gypo gyppo gyp hoe hoes homo homos whore whores hore hores horny hell heroin jap japs jew
jews jewed joo joos jigaboo jizz kike kikes kyke kill kills killed knob knobs knobhead lesbo lezzer lez lezz meth mong
mongs muff muffs nazi negro nig nigs nigger niggers nigga niggas nob nobs nonce nonces nude orgy paki pakis pac packi
pecker penis piss pisses pissed pissing pis prick pricks prik priks porn porno porns poof poofs poofter poon poons
pooned poontang poo poos prat prats prostitute pube pubes puff pussy pussies queer queers quim rape rapes raped raper
rapist raping rectum retard retards scrote scrotum sex sexed sexes sexy seks shag shags shagged shagging shat shit shits
shite shites shitty sht sluts slut slag slags slagged sod sods sodding spastic spaz spazz spic spics spik spiks spunk
spunks suicide tart tarts tit tits titt titts titty titties tosser tossers tranny turd turds terd terds twat twats twot
twots twit vagina wank wanks wanked wanker wankers wanking wog wogs wop wops willy willies wino wuss yid yids
`;
/** Words of those that are in the bank on purpose, in an everyday sense. */
const FINE = `puff hoe hoes tart tarts`;

const words = (text: string): string[] => text.trim().split(/\s+/);
const fine = new Set(words(FINE));
const FORBIDDEN: ReadonlySet<string> = new Set(words(WRITTEN).filter((word) => !fine.has(word)));

/** A line as a hasty eye takes it: what was said in one go, without its hyphens and without what was lost. */
const glued = (line: readonly Bit[]): string =>
  line.filter((b) => !b.lost).reduce((text, { label, tied }, i) => text + (i === 0 || tied ? '' : ' ') + label, '');

/** Every string of an item that a screen, a file or a page can print. */
function stringsOf({ say, slots, script, how, expected, likely, view, words: shown }: Item): string[] {
  const parts = 'parts' in view && view.parts ? view.parts : [];
  const lines = likely.flatMap(({ line }) => (line ? [lineText(line), glued(line)] : []));
  return [
    say,
    how,
    expected,
    ...Object.values(slots),
    ...script.map((l) => l.text),
    ...parts,
    ...shown.flatMap((w) => [w.word, w.meaning]),
    ...likely.flatMap(({ show, note }) => [show ?? '', note]),
    ...lines,
  ];
}

/** The first forbidden word of a text; undefined where there is none. */
export const forbiddenOf = (text: string): string | undefined =>
  text
    .toLowerCase()
    .split(/[^a-zàâçé’']+/)
    .find((word) => FORBIDDEN.has(word));

/** The first forbidden word that an item prints; undefined where there is none. */
export const forbiddenIn = (item: Item): string | undefined => stringsOf(item).map(forbiddenOf).find(Boolean);

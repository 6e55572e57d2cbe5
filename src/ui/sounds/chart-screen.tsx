import { clsx } from 'clsx';
import { CONSONANTS, makingOf } from '@/core/phonology/sounds';
import type { SoundChart } from '@/server/words/sounds';
import { MarkShape } from '../kit/bounce-line';
import { Link } from '../kit/link';
import { MANNER_WORDS } from '../kit/manners';
import { sure } from '@/core/sure';
import { Section } from '../kit/section';

const PLACE_WORDS: Readonly<Record<string, string>> = {
  bilabial: 'both lips',
  labiodental: 'lip and teeth',
  dental: 'tongue and teeth',
  alveolar: 'behind the teeth',
  postalveolar: 'further back',
  palatal: 'middle of the roof',
  velar: 'back of the roof',
  'labial-velar': 'lips and back',
  glottal: 'throat',
};
/** Every sound of the accent by where and how it is made; each leads to its page. */
export function ChartScreen({ chart }: { chart: SoundChart }) {
  const places = sure(chart.consonants[0])
    .cells.map((c) => c.place)
    .filter((place) => chart.consonants.some((row) => row.cells.some((c) => c.place === place && c.sounds.length)));
  return (
    <>
      <h1 className="mb-1 text-4xl">Sounds</h1>
      <p className="mb-5 max-w-3xl text-lg text-muted">
        How to make each sound in your accent. Clip the sounds with a hop, hold the ones with a long bar, say the ones
        with a short bar lightly. Lens shapes are vowels.
      </p>
      <Rows chart={chart} />
      <div className="max-lg:hidden">
        <table className="w-full border-collapse">
          <caption className="pb-2 text-left font-word text-2xl font-bold">Consonants</caption>
          <thead>
            <tr>
              <td className="w-24" />
              {places.map((place) => (
                <th
                  key={place}
                  scope="col"
                  className="px-1 pb-2 text-left align-bottom text-[0.95rem] leading-tight font-normal text-muted"
                >
                  {PLACE_WORDS[place]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {chart.consonants.map((row) => (
              <tr key={row.manner} className="border-t border-line">
                <th scope="row" className="py-2 pr-3 text-left text-[0.95rem] leading-tight font-normal text-muted">
                  {MANNER_WORDS[row.manner]}
                </th>
                {row.cells
                  .filter((c) => places.includes(c.place))
                  .map((cell) => (
                    <td key={cell.place} className="p-0.5">
                      <span className="flex gap-1">
                        {cell.sounds.map((s) => (
                          <SoundLink key={s.ipa} ipa={s.ipa} label={s.label} as={s.as} />
                        ))}
                      </span>
                    </td>
                  ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-2 text-[0.95rem] text-muted max-lg:hidden">
        Where two stand side by side, the second one uses your voice: put a hand on your throat and feel the buzz.
      </p>
      <h2 className="mt-8 mb-2 text-2xl">Vowels</h2>
      <div className="flex flex-wrap gap-2">
        {chart.vowels.map((v) => (
          <SoundLink key={v.ipa} ipa={v.ipa} label={v.label} as={v.as ?? undefined} />
        ))}
      </div>
    </>
  );
}

/** The same consonants row by row, where there is no room for a column for each place. */
const Rows = ({ chart }: { readonly chart: SoundChart }) => (
  <Section id="rows" title="Consonants" heading="mb-2 text-2xl" className="lg:hidden">
    {chart.consonants.map((row) => (
      <div key={row.manner} className="border-t border-line py-2">
        <h3 className="mb-1 font-sans text-base font-normal text-muted">{MANNER_WORDS[row.manner]}</h3>
        <div className="flex flex-wrap gap-1.5">
          {row.cells.flatMap((cell) =>
            cell.sounds.map((s) => <SoundLink key={s.ipa} ipa={s.ipa} label={s.label} as={s.as} />),
          )}
        </div>
      </div>
    ))}
  </Section>
);

const SoundLink = ({ ipa, label, as }: { ipa: string; label: string; as?: string | undefined }) => (
  <Link
    href={`/sounds/${encodeURIComponent(ipa)}`}
    className={clsx(
      'flex min-h-14 min-w-12 flex-col items-center justify-center rounded-xl border',
      'border-line-strong bg-card px-1.5 py-1 leading-tight hover:border-ink',
    )}
  >
    <span className="font-word text-2xl font-bold">{label}</span>
    <span className="text-xs text-muted">{as ?? `/${ipa}/`}</span>
    <span className="mt-0.5">
      <MarkShape making={CONSONANTS[ipa]?.making ?? makingOf(ipa)} />
    </span>
  </Link>
);

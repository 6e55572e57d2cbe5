import { Field } from './field';

interface InitialsProps {
  readonly value: string;
  readonly onChange: (value: string) => void;
  /** The label, where they must be given. */
  readonly whose?: string;
}

/** Who does something with the data as a whole, for the journal. */
export function Initials({ value, onChange, whose = 'Your initials (optional)' }: InitialsProps) {
  return (
    <Field htmlFor="initials" label={whose} hint="They go in the journal, in Settings.">
      <input
        id="initials"
        className="field w-32"
        maxLength={20}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </Field>
  );
}

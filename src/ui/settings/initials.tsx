import { Field } from '../kit/field';

interface InitialsProps {
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** Who does something with the data as a whole, for the journal. */
export function Initials({ value, onChange }: InitialsProps) {
  return (
    <Field htmlFor="initials" label="Your initials (optional)" hint="They stand in the journal below.">
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

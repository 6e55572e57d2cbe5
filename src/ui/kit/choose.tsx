interface ChooseProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly options: readonly (readonly [value: string, text: string])[];
}

/** One of a few, in a line of such: “Sort by … Show …”. */
export const Choose = ({ label, value, onChange, options }: ChooseProps) => (
  <label className="flex items-center gap-2 text-muted">
    {label}
    <select
      className="min-h-12 max-w-52 rounded-xl border border-line-strong bg-card px-3 text-ink"
      value={value}
      onChange={(e) => onChange(e.target.value)}
    >
      {options.map(([key, text]) => (
        <option key={key} value={key}>
          {text}
        </option>
      ))}
    </select>
  </label>
);

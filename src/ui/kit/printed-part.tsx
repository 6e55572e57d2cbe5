interface PrintedPartProps {
  readonly heading: string;
  readonly lines: readonly string[];
}

/** A heading and its lines on a page to print; nothing where there are no lines. */
export const PrintedPart = ({ heading, lines }: PrintedPartProps) =>
  lines.length > 0 && (
    <section className="mt-7 break-inside-avoid print:mt-4">
      <h2 className="mb-2 text-2xl print:mb-1 print:text-xl">{heading}</h2>
      <ul className="space-y-1.5 text-xl print:space-y-1 print:text-lg">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </section>
  );

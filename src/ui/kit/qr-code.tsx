interface QrCodeProps {
  /** An SVG, as the server made it. */
  readonly picture: string;
  readonly alt: string;
}

/** A code for a camera; on white, as cameras want it. */
export const QrCode = ({ picture, alt }: QrCodeProps) => (
  <img
    alt={alt}
    className="bg-white size-56 border border-line"
    src={`data:image/svg+xml;utf8,${encodeURIComponent(picture)}`}
  />
);

import { clsx } from 'clsx';
import { Button } from './button';

interface NotSavedProps {
  /** Something is filled in that is not kept by the server yet. */
  readonly changed: boolean;
  readonly putBack: () => void;
  readonly className?: string;
}

/** Says that what is shown is not saved yet, with the way back. */
export const NotSaved = ({ changed, putBack, className }: NotSavedProps) => (
  <p role="status" className={clsx('flex flex-wrap items-center gap-x-3', className)}>
    {changed && (
      <>
        <b>Not saved yet.</b>
        <Button kind="quiet" onClick={putBack}>
          Put it back as it was
        </Button>
      </>
    )}
  </p>
);

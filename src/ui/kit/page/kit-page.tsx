'use client';

import { useState, type ReactNode } from 'react';
import { Alert } from '../alert';
import { Button } from '../button';
import { Checkbox } from '../checkbox';
import { Chip } from '../chip';
import { Collapsible } from '../collapsible';
import { Dialog } from '../dialog';
import { Field } from '../field';
import { VisuallyHidden } from '../hidden';
import { Menu } from '../menu';
import { Popover } from '../popover';
import { Progress } from '../progress';
import { RadioGroup } from '../radio-group';
import { SelectField } from '../select';
import { Switch } from '../switch';
import { Tabs } from '../tabs';
import { Toasts, useToast } from '../toast';
import { ToggleGroup } from '../toggle-group';
import { Toolbar, ToolbarButton } from '../toolbar';
import { Tooltip } from '../tooltip';
import { useLook } from '../use-look';

const BLENDING_HINT = 'Join the sounds to make the word.';

const TOOLS = 'What to do with a word';

const SHOW_LETTERS = 'Show letters under the sounds';

const MORE = 'More about this plan';

const MORE_TEXT = 'Letters, the day it is for, and files to share.';

const GAMES = [
  { value: 'blending', label: 'Blending', hint: BLENDING_HINT },
  { value: 'rhymes', label: 'Do they rhyme?', hint: 'Two words: yes or no.' },
] as const;
const MINUTES = [
  ['5', '5'],
  ['8', '8'],
  ['12', '12'],
] as const;

interface PartProps {
  readonly name: string;
  readonly children: ReactNode;
}

const Part = ({ name, children }: PartProps) => (
  <section className="border-t border-line py-5">
    <h2 className="mb-3 text-2xl">{name}</h2>
    <div className="flex flex-wrap items-start gap-x-6 gap-y-4">{children}</div>
  </section>
);

/** Every part of the kit in every state. */
export function KitPage() {
  const [look, dress] = useLook();
  return (
    <Toasts>
      <main className="mx-auto max-w-5xl px-6 py-8">
        <h1 className="text-4xl">Every part of the kit</h1>
        <p className="mb-3 text-muted">Here is each part in every state. The switch shows the other look.</p>
        <Switch label="Dim, for nap time" on={look === 'dim'} onChange={(on) => dress(on ? 'dim' : 'light')} />
        <Buttons />
        <Choices />
        <Ticks />
        <Folded />
        <Passing />
      </main>
    </Toasts>
  );
}

function Buttons() {
  const [on, setOn] = useState(true);
  return (
    <>
      <Part name="Buttons">
        {(['action', 'plain', 'quiet'] as const).map((kind) => (
          <span key={kind} className="flex gap-2">
            <Button kind={kind}>Print</Button>
            <Button kind={kind} size="big">
              Print
            </Button>
            <Button kind={kind} disabled>
              Print
            </Button>
          </span>
        ))}
        <Toolbar label={TOOLS}>
          <ToolbarButton onClick={() => undefined}>Say again</ToolbarButton>
          <ToolbarButton onClick={() => undefined}>Slower</ToolbarButton>
          <ToolbarButton onClick={() => undefined} disabled>
            Copy
          </ToolbarButton>
        </Toolbar>
      </Part>
      <Part name="Chips">
        {(['small', 'usual', 'big'] as const).map((size) => (
          <Chip key={size} size={size} on={on} onClick={() => setOn(!on)}>
            Blending
          </Chip>
        ))}
        <Chip on={false} disabled>
          Do they rhyme?
        </Chip>
      </Part>
    </>
  );
}

function Choices() {
  const [game, setGame] = useState('blending');
  const [minutes, setMinutes] = useState('8');
  return (
    <Part name="One of several">
      <RadioGroup legend="Which game?" value={game} onChange={setGame} options={GAMES} />
      <RadioGroup kind="pills" legend="Which game?" value={game} onChange={setGame} options={GAMES} />
      <ToggleGroup label="How many minutes?" value={minutes} onChange={setMinutes} options={MINUTES} />
      <SelectField label="How many minutes?" value={minutes} onChange={setMinutes} options={MINUTES} />
      <SelectField inline label="How many minutes?" value={minutes} onChange={setMinutes} options={MINUTES} disabled />
      <Field label="How many minutes?" htmlFor="kit-minutes" hint={BLENDING_HINT}>
        <input id="kit-minutes" className="field" defaultValue={minutes} />
      </Field>
      <div className="basis-full">
        <Tabs
          label="Which game?"
          value={game}
          onChange={setGame}
          pages={GAMES.map(({ value, label, hint }) => ({ id: value, name: label, page: hint }))}
        />
      </div>
    </Part>
  );
}

function Ticks() {
  const [on, setOn] = useState(true);
  return (
    <Part name="On or off">
      <Checkbox label={SHOW_LETTERS} checked={on} onChange={setOn} />
      <Checkbox label="This one can’t be changed" checked disabled />
      <div className="w-80">
        <Switch label={SHOW_LETTERS} on={on} onChange={setOn} />
      </div>
    </Part>
  );
}

function Folded() {
  const [dialog, setDialog] = useState<'dialog' | 'alert' | null>(null);
  const shut = (): void => setDialog(null);
  return (
    <Part name="Folded away">
      <Button onClick={() => setDialog('dialog')}>Open a dialog</Button>
      <Button onClick={() => setDialog('alert')}>Ask before erasing</Button>
      <Dialog open={dialog === 'dialog'} onOpenChange={shut} title={MORE} description={MORE_TEXT}>
        <Button kind="action" onClick={shut}>
          Keep the plan
        </Button>
      </Dialog>
      <Alert
        open={dialog === 'alert'}
        onOpenChange={shut}
        title="Erase “Blending, like frog”?"
        description="The plan will go. Any sessions you’ve played from it will stay."
        keep="Keep the plan"
        does="Erase the plan"
        onDo={shut}
      />
      <Menu
        trigger={<Button>{TOOLS}</Button>}
        acts={[
          { name: 'Copy', does: () => undefined },
          { name: 'Print', does: () => undefined, disabled: true },
        ]}
      />
      <Popover label={MORE} trigger={<Button>{MORE}</Button>}>
        This opens beside its button.
      </Popover>
      <Tooltip text="Only a mouse sees this.">
        <Button>Print</Button>
      </Tooltip>
      <Collapsible title={MORE}>{MORE_TEXT}</Collapsible>
    </Part>
  );
}

function Passing() {
  const tell = useToast();
  return (
    <Part name="Said in passing">
      <Button onClick={() => tell({ text: 'Kept' })}>Keep the plan</Button>
      <Button onClick={() => tell({ text: 'Kept', undo: { name: 'Undo', does: () => tell({ text: 'Undone' }) } })}>
        Erase the plan
      </Button>
      <div className="w-60 self-center">
        <Progress label="Turns done" done={3} of={8} />
      </div>
      <VisuallyHidden.Root>Read out, and not shown</VisuallyHidden.Root>
    </Part>
  );
}

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
import { kitPage as say } from './text';

const GAMES = [
  { value: 'blending', label: say.blending, hint: say.blendingHint },
  { value: 'rhymes', label: say.rhymes, hint: say.rhymesHint },
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
        <h1 className="text-4xl">{say.kit}</h1>
        <p className="mb-3 text-muted">{say.both}</p>
        <Switch label={say.dim} on={look === 'dim'} onChange={(on) => dress(on ? 'dim' : 'light')} />
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
      <Part name={say.buttons}>
        {(['action', 'plain', 'quiet'] as const).map((kind) => (
          <span key={kind} className="flex gap-2">
            <Button kind={kind}>{say.print}</Button>
            <Button kind={kind} size="big">
              {say.print}
            </Button>
            <Button kind={kind} disabled>
              {say.print}
            </Button>
          </span>
        ))}
        <Toolbar label={say.tools}>
          <ToolbarButton onClick={() => undefined}>{say.say}</ToolbarButton>
          <ToolbarButton onClick={() => undefined}>{say.slower}</ToolbarButton>
          <ToolbarButton onClick={() => undefined} disabled>
            {say.copy}
          </ToolbarButton>
        </Toolbar>
      </Part>
      <Part name={say.chips}>
        {(['small', 'usual', 'big'] as const).map((size) => (
          <Chip key={size} size={size} on={on} onClick={() => setOn(!on)}>
            {say.blending}
          </Chip>
        ))}
        <Chip on={false} disabled>
          {say.rhymes}
        </Chip>
      </Part>
    </>
  );
}

function Choices() {
  const [game, setGame] = useState('blending');
  const [minutes, setMinutes] = useState('8');
  return (
    <Part name={say.choices}>
      <RadioGroup legend={say.game} value={game} onChange={setGame} options={GAMES} />
      <RadioGroup kind="pills" legend={say.game} value={game} onChange={setGame} options={GAMES} />
      <ToggleGroup label={say.minutes} value={minutes} onChange={setMinutes} options={MINUTES} />
      <SelectField label={say.minutes} value={minutes} onChange={setMinutes} options={MINUTES} />
      <SelectField inline label={say.minutes} value={minutes} onChange={setMinutes} options={MINUTES} disabled />
      <Field label={say.minutes} htmlFor="kit-minutes" hint={say.blendingHint}>
        <input id="kit-minutes" className="field" defaultValue={minutes} />
      </Field>
      <div className="basis-full">
        <Tabs
          label={say.game}
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
    <Part name={say.ticks}>
      <Checkbox label={say.showLetters} checked={on} onChange={setOn} />
      <Checkbox label={say.cannotChange} checked disabled />
      <div className="w-80">
        <Switch label={say.showLetters} on={on} onChange={setOn} />
      </div>
    </Part>
  );
}

function Folded() {
  const [dialog, setDialog] = useState<'dialog' | 'alert' | null>(null);
  const shut = (): void => setDialog(null);
  return (
    <Part name={say.folded}>
      <Button onClick={() => setDialog('dialog')}>{say.openDialog}</Button>
      <Button onClick={() => setDialog('alert')}>{say.openAlert}</Button>
      <Dialog open={dialog === 'dialog'} onOpenChange={shut} title={say.more} description={say.moreText}>
        <Button kind="action" onClick={shut}>
          {say.keepPlan}
        </Button>
      </Dialog>
      <Alert
        open={dialog === 'alert'}
        onOpenChange={shut}
        title={say.eraseAsk}
        description={say.eraseGoes}
        keep={say.keepPlan}
        does={say.erasePlan}
        onDo={shut}
      />
      <Menu
        trigger={<Button>{say.tools}</Button>}
        acts={[
          { name: say.copy, does: () => undefined },
          { name: say.print, does: () => undefined, disabled: true },
        ]}
      />
      <Popover label={say.more} trigger={<Button>{say.more}</Button>}>
        {say.beside}
      </Popover>
      <Tooltip text={say.pointer}>
        <Button>{say.print}</Button>
      </Tooltip>
      <Collapsible title={say.more}>{say.moreText}</Collapsible>
    </Part>
  );
}

function Passing() {
  const tell = useToast();
  return (
    <Part name={say.said}>
      <Button onClick={() => tell({ text: say.kept })}>{say.keepPlan}</Button>
      <Button
        onClick={() => tell({ text: say.kept, undo: { name: say.undo, does: () => tell({ text: say.undone }) } })}
      >
        {say.erasePlan}
      </Button>
      <div className="w-60 self-center">
        <Progress label={say.turns} done={3} of={8} />
      </div>
      <VisuallyHidden.Root>{say.hidden}</VisuallyHidden.Root>
    </Part>
  );
}

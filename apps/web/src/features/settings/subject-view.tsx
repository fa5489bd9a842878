import type { Settings } from '@keen/core';
import { useMayChange } from '../../api/access-queries.js';
import { useSaveSettings } from '../../api/queries.js';
import { Accounts } from './accounts.js';
import { Backups } from './backups.js';
import { Calendars } from './calendars.js';
import { HouseRules } from './house-rules.js';
import type { NumberGroup } from './number-groups.js';
import { NumberRows } from './number-rows.js';
import classes from './settings.module.css';
import { StartAgain } from './start-again.js';
import { Stock } from './stock.js';
import type { SubjectId } from './subjects.js';
import { DemoClock, Units } from './units-section.js';
import { WorkersSection } from './workers.js';

interface SubjectViewProps {
  readonly subject: SubjectId;
  readonly settings: Settings;
  readonly groups: readonly NumberGroup[];
}

type SubjectProps = Omit<SubjectViewProps, 'subject'>;

function UnitsSubject({ settings }: SubjectProps) {
  const save = useSaveSettings();
  return (
    <>
      <Units settings={settings} onSave={(change) => save.mutateAsync(change)} />
      <DemoClock />
    </>
  );
}

function PeopleSubject({ settings }: SubjectProps) {
  const save = useSaveSettings();
  return (
    <WorkersSection
      workers={settings.workers}
      onSave={(workers, read) => save.mutateAsync({ workers, was: { workers: read } })}
    />
  );
}

function RulesSubject({ settings, groups }: SubjectProps) {
  const save = useSaveSettings();
  return (
    <section className={classes.box}>
      <h2>House rules</h2>
      <p className="muted" style={{ marginTop: 0 }}>
        Where good people disagree. Each choice moves verdicts, plans or sums at once, and says which.
      </p>
      <HouseRules
        choices={settings.house.choices}
        onChoose={(choices) => save.mutateAsync({ house: { choices } })}
      />
      {groups.map((group) => (
        <GroupRows key={group.key} group={group} />
      ))}
    </section>
  );
}

function GroupRows({ group }: { readonly group: NumberGroup }) {
  const save = useSaveSettings();
  return (
    <NumberRows
      rows={group.rows}
      values={group.values}
      onSave={(id, value) => save.mutateAsync(group.change(id, value))}
    />
  );
}

function NumbersSubject({ groups }: SubjectProps) {
  return groups.map((group) => (
    <section key={group.key} className={classes.box}>
      <h2>
        {group.title}
        {group.note !== '' && <span className="muted"> · {group.note}</span>}
      </h2>
      <GroupRows group={group} />
    </section>
  ));
}

function SeasonSubject(props: SubjectProps) {
  return (
    <>
      <p className="muted" style={{ margin: 0 }}>
        Done with a wash when its season has come and the hour suits. Follow the product’s data sheet first.
      </p>
      <NumbersSubject {...props} />
    </>
  );
}

function StockSubject({ settings }: SubjectProps) {
  const save = useSaveSettings();
  return <Stock stock={settings.stock} onSave={(stock) => save.mutateAsync({ stock })} />;
}

function BackupsSubject() {
  const mayChange = useMayChange();
  return (
    <>
      <Backups />
      {mayChange && <StartAgain />}
    </>
  );
}

const VIEWS: Readonly<Record<SubjectId, (props: SubjectProps) => React.ReactNode>> = {
  units: UnitsSubject,
  people: PeopleSubject,
  accounts: ({ settings }) => <Accounts workers={settings.workers} />,
  calendars: ({ settings }) => <Calendars workers={settings.workers} />,
  rules: RulesSubject,
  limits: NumbersSubject,
  season: SeasonSubject,
  worth: NumbersSubject,
  stock: StockSubject,
  backups: BackupsSubject,
};

/** All that there is to set about one subject. */
export function SubjectView({ subject, settings, groups }: SubjectViewProps) {
  const View = VIEWS[subject];
  return <View settings={settings} groups={groups.filter((group) => group.subject === subject)} />;
}

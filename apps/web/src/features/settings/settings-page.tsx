import { Checkbox, TextInput } from '@mantine/core';
import type { Settings } from '@keen/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useSaveSettings, useSettings } from '../../api/queries.js';
import { Page } from '../../parts/page.js';
import { Failed, Loading } from '../../parts/states.js';
import { FoundSettings } from './found-settings.js';
import { changedCount, numberGroups, type Wanted } from './number-groups.js';
import classes from './settings.module.css';
import { SubjectList } from './subject-list.js';
import { SubjectView } from './subject-view.js';
import { type SubjectId, subjectOf } from './subjects.js';

/** Units, limits and prices: what the program takes as given, and can be set otherwise. */
export function SettingsPage() {
  const { data: settings, error, isPending } = useSettings();
  if (isPending)
    return (
      <Page title="Settings">
        <Loading what="Fetching the settings" />
      </Page>
    );
  if (error)
    return (
      <Page title="Settings">
        <Failed error={error} />
      </Page>
    );
  return <SettingsOf settings={settings} />;
}

const NOTHING: Wanted = { text: '', onlyChanged: false };

function SettingsOf({ settings }: { readonly settings: Settings }) {
  const save = useSaveSettings();
  const [params, setParams] = useSearchParams();
  const [wanted, setWanted] = useState(NOTHING);
  const groups = useMemo(() => numberGroups(settings), [settings]);
  const subject = subjectOf(params.get('about'));
  const isLooking = wanted.text.trim() !== '' || wanted.onlyChanged;
  const choose = (next: SubjectId): void => {
    setWanted(NOTHING);
    setParams({ about: next });
  };
  return (
    <Page title="Settings" lead="Judgement is labelled as such, and yours to change.">
      <div className={classes.find}>
        <TextInput
          type="search"
          aria-label="Find a setting"
          placeholder="Find a setting: wind, soap, wage …"
          value={wanted.text}
          onChange={(event) => setWanted({ ...wanted, text: event.currentTarget.value })}
        />
        <Checkbox
          label="Only what was changed"
          checked={wanted.onlyChanged}
          onChange={(event) => setWanted({ ...wanted, onlyChanged: event.currentTarget.checked })}
        />
      </div>
      <div className={classes.split}>
        <SubjectList
          current={isLooking ? null : subject}
          changedIn={(id) => changedCount(id, groups, settings.house.choices)}
          onChoose={choose}
        />
        <div className={classes.subject}>
          {isLooking ? (
            <FoundSettings
              settings={settings}
              groups={groups}
              wanted={wanted}
              onSave={(change) => save.mutateAsync(change)}
              onChoose={choose}
            />
          ) : (
            <SubjectView key={subject} subject={subject} settings={settings} groups={groups} />
          )}
        </div>
      </div>
    </Page>
  );
}

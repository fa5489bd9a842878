import { describe, expect, it } from '@jest/globals';
import type { AuditEntry, AuditPage } from '@keen/core';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { makeFormat } from '../../format/format.js';
import { madeUpServer } from '../../testing/server.js';
import { show } from '../../testing/show.js';
import { fieldName, fieldValue } from '../../words/change-words.js';
import { DEFAULT_DISPLAY } from '@keen/core';
import { ChangesPage } from './changes-page.js';
import { changesCsv, subjectOf, toldFields } from './changes-view.js';

const format = makeFormat(DEFAULT_DISPLAY, 'America/Toronto', 'en-CA');
const entry = (change: Partial<AuditEntry> = {}): AuditEntry => ({
  seq: 7,
  atMs: Date.parse('2026-01-14T06:40:00-05:00'),
  who: 'Ida',
  device: 'Bay phone',
  record: 'vehicle',
  recordId: 'blue',
  name: 'Blue hatch',
  deed: 'changed',
  fields: [{ field: 'cadenceDays', before: 7, after: 4 }],
  ...change,
});
const nameOf = (id: string): string | null => (id === 'blue' ? 'Blue hatch' : null);

describe('a change in words', () => {
  it.each([
    ['cadenceDays', 'cadence (d)'],
    ['leftMl', 'left (mL)'],
    ['value.inHandFraction', 'in hand fraction'],
    ['washWater.hardnessMgPerLitre', 'wash water: hardness (mg/L)'],
    ['priceMinor', 'price'],
    ['name', 'name'],
  ])('%s is %s', (field, text) => {
    expect(fieldName(field)).toBe(text);
  });

  it.each<[string, unknown, string]>([
    ['notes', '', 'nothing'],
    ['isLocked', true, 'yes'],
    ['leftMl', 12.34567, '12.346'],
    ['priceMinor', 1250, format.money(1250)],
    ['startMs', entry().atMs, format.dayTime(entry().atMs)],
    ['extras', ['clay', 'polish'], 'clay, polish'],
    ['extras', [], 'nothing'],
    ['driving', [{ a: 1 }], '[{"a":1}]'],
  ])('%s of %j reads %s', (field, value, text) => {
    expect(fieldValue(field, value, format)).toBe(text);
  });

  it('goes by the car where the record has no name, and by its kind where nothing is known', () => {
    expect(subjectOf(entry(), nameOf)).toBe('Vehicle Blue hatch');
    const wash = entry({ record: 'wash', recordId: 'w', name: null });
    expect(subjectOf(wash, nameOf)).toBe('Wash');
    const made = { ...wash, fields: [{ field: 'vehicleId', before: null, after: 'blue' }] };
    expect(subjectOf(made, nameOf)).toBe('Wash Blue hatch');
    expect(subjectOf(entry({ record: 'setting', name: 'priceList' }), nameOf)).toBe('Setting price list');
    expect(toldFields(made)).toEqual([]);
  });

  it('is a line for each field in a spreadsheet, and one where there is none', () => {
    const rows = changesCsv(
      [entry(), entry({ deed: 'deleted', fields: [], who: null, device: null })],
      nameOf,
      format,
    ).split('\r\n');
    expect(rows).toHaveLength(3);
    expect(rows[1]).toMatch(/Ida,Bay phone,Vehicle Blue hatch,changed,cadence \(d\),7,4$/);
    expect(rows[2]).toMatch(/,,,Vehicle Blue hatch,deleted,,,$/);
  });
});

describe('the changes', () => {
  const asked: string[] = [];
  const opened = (pages: readonly AuditPage[]): void => {
    asked.length = 0;
    madeUpServer(({ path }) => {
      if (!path.includes('audit')) return undefined;
      asked.push(path.split('?')[1] ?? '');
      return { body: path.includes('before=') ? pages[1] : pages[0] };
    });
    show(<ChangesPage />);
  };

  it('say who, on what, before and after; what is new in one line', async () => {
    const many = Array.from({ length: 6 }, (_, i) => ({ field: `field${i}`, before: null, after: i }));
    opened([
      { entries: [entry(), entry({ seq: 6, deed: 'made', fields: many })], olderFrom: null, people: ['Ida'] },
    ]);
    const list = await screen.findByRole('list', { name: 'Changes' });
    expect(await within(list).findByText('cadence (d): 7 → 4')).toBeTruthy();
    expect(within(list).getAllByText('Ida, Bay phone')).toHaveLength(2);
    expect(
      within(list).getByText('field0: 0 · field1: 1 · field2: 2 · field3: 3 · field4: 4 · field5: 5'),
    ).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Show older ones' })).toBeNull();
  });

  it('go on to older ones, and by one person', async () => {
    opened([
      { entries: [entry()], olderFrom: 7, people: ['Ida', 'Jon'] },
      { entries: [entry({ seq: 3, name: 'Old van' })], olderFrom: null, people: [] },
    ]);
    await userEvent.click(await screen.findByRole('button', { name: 'Show older ones' }));
    expect(await screen.findByText('Vehicle Old van')).toBeTruthy();
    expect(asked).toContain('before=7');
    await userEvent.click(screen.getByRole('combobox', { name: 'By' }));
    await userEvent.click(await screen.findByRole('option', { name: 'Jon' }));
    await screen.findByRole('button', { name: 'Show older ones' });
    expect(asked.at(-1)).toBe('who=Jon');
  });

  it('say so where there are none', async () => {
    opened([{ entries: [], olderFrom: null, people: [] }]);
    expect(await screen.findByText('Nothing was changed yet')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Export CSV' }).hasAttribute('disabled')).toBe(true);
  });
});

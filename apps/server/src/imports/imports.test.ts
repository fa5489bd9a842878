import { describe, expect, it } from '@jest/globals';
import { TREATMENT_COLUMNS } from '@keen/core';
import { keeps } from './import-report.js';
import { readCsv } from './read-csv.js';
import { readGpx } from './read-gpx.js';

const gpx = (points: string): string =>
  `<?xml version="1.0"?>\n<gpx version="1.1" creator="test">\n<trk><trkseg>\n${points}\n</trkseg></trk>\n</gpx>`;
const point = (lat: number, time: string | null): string =>
  `<trkpt lat="${lat}" lon="-84.3">${time === null ? '' : `<time>${time}</time>`}</trkpt>`;
const faultOf = (act: () => unknown): unknown => {
  try {
    act();
    return null;
  } catch (error) {
    return (error as { getResponse: () => { error: unknown } }).getResponse().error;
  }
};

describe('a GPX file', () => {
  it('gives its points in order, each with its line', () => {
    const points = readGpx(
      gpx([point(46.5, '2026-01-10T12:00:00Z'), point(46.6, '2026-01-10T12:05:00Z')].join('\n')),
    );
    expect(points).toEqual([
      { line: 4, latitudeDeg: 46.5, longitudeDeg: -84.3, atMs: Date.UTC(2026, 0, 10, 12) },
      { line: 5, latitudeDeg: 46.6, longitudeDeg: -84.3, atMs: Date.UTC(2026, 0, 10, 12, 5) },
    ]);
  });

  it('keeps a point without a time, for its fault to be told by line', () => {
    const points = readGpx(gpx([point(46.5, '2026-01-10T12:00:00Z'), point(46.6, null)].join('\n')));
    expect(points[1]).toMatchObject({ line: 5, atMs: null });
  });

  it.each([
    { why: 'broken XML', text: gpx('<trkpt lat="46" lon="-84"><time></trkpt>'), field: 'line 4' },
    { why: 'no times at all', text: gpx(point(46.5, null)), field: 'text' },
    { why: 'no points', text: gpx(''), field: 'text' },
    {
      why: 'elements 600 deep in one another',
      text: `<gpx>${'<trk>'.repeat(600)}${'</trk>'.repeat(600)}</gpx>`,
      field: 'text',
    },
    { why: 'another kind of file', text: '<kml></kml>', field: 'line 1' },
    { why: 'swelling entities', text: '<!DOCTYPE gpx [<!ENTITY a "aaaa">]><gpx></gpx>', field: 'text' },
    { why: 'no XML', text: 'lat,lon', field: 'line 1' },
  ])('is refused for $why, naming where', ({ text, field }) => {
    expect(faultOf(() => readGpx(text))).toMatchObject({ code: 'unreadable-file', field });
  });

  it('takes odd numbers as no place, not as zero', () => {
    const [first] = readGpx(gpx('<trkpt lat="north" lon=""><time>2026-01-10T12:00:00Z</time></trkpt>'));
    expect(first?.latitudeDeg).toBeNaN();
    expect(first?.longitudeDeg).toBeNaN();
  });
});

describe('a table', () => {
  it('is read by its header, whatever the order, with its lines', () => {
    const rows = readCsv(
      '\uFEFFagent,at,gramsPerM2,roadClass\nNaCl,2026-01-10T05:00:00Z,15,main\n\n',
      TREATMENT_COLUMNS,
    );
    expect(rows).toEqual([
      { line: 2, cells: { agent: 'NaCl', at: '2026-01-10T05:00:00Z', gramsPerM2: '15', roadClass: 'main' } },
    ]);
  });

  it('says which columns are missing', () => {
    expect(faultOf(() => readCsv('at,agent\n1,2', TREATMENT_COLUMNS))).toMatchObject({
      field: 'line 1',
      message: expect.stringContaining('roadClass, gramsPerM2'),
    });
  });
});

describe('what an import keeps', () => {
  it.each([
    { mode: 'look', good: 3, faults: 0, kept: false },
    { mode: 'all-or-nothing', good: 3, faults: 0, kept: true },
    { mode: 'all-or-nothing', good: 3, faults: 1, kept: false },
    { mode: 'good-lines', good: 3, faults: 1, kept: true },
    { mode: 'good-lines', good: 0, faults: 2, kept: false },
  ] as const)('$mode with $good good and $faults bad lines', ({ mode, good, faults, kept }) => {
    expect(keeps(mode, { good: Array(good).fill(0), faults: Array(faults).fill(0) })).toBe(kept);
  });
});

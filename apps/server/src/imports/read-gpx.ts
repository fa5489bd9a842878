import type { TrackPoint } from '@keen/core';
import { XMLParser, XMLValidator } from 'fast-xml-parser';
import { unreadable } from './import-report.js';

type Node = Readonly<Record<string, unknown>>;

const asList = (value: unknown): Node[] =>
  (Array.isArray(value) ? value : value === undefined || value === '' ? [] : [value]) as Node[];

/** Line of each `<trkpt` in the text, in order. */
function pointLines(text: string): number[] {
  const lines: number[] = [];
  let line = 1;
  let from = 0;
  for (let at = text.indexOf('<trkpt'); at >= 0; at = text.indexOf('<trkpt', at + 1)) {
    for (let i = text.indexOf('\n', from); i >= 0 && i < at; i = text.indexOf('\n', i + 1)) line += 1;
    from = at;
    lines.push(line);
  }
  return lines;
}

const numberOf = (value: unknown): number =>
  typeof value === 'string' && value !== '' ? Number(value) : NaN;

function instantOf(value: unknown): number | null {
  const atMs = typeof value === 'string' ? Date.parse(value.trim()) : NaN;
  return Number.isNaN(atMs) ? null : atMs;
}

/** @throws 400 where the parser does not follow, as through elements that stand too deep in one another */
function parsed(parser: XMLParser, text: string): Node {
  try {
    return parser.parse(text) as Node;
  } catch (error) {
    throw unreadable(`The XML cannot be read: ${error instanceof Error ? error.message : 'not understood'}.`);
  }
}

/**
 * The track points of a GPX file, in order, with the line that each stands on.
 *
 * @throws 400 `unreadable-file` naming the line of broken XML, or saying that there is no track or no time at all
 */
export function readGpx(text: string): TrackPoint[] {
  // A document type may define entities that swell without end; a track needs none.
  if (/<!DOCTYPE/i.test(text))
    throw unreadable('The file has a document type; a track needs none, so it is not read.');
  const valid = XMLValidator.validate(text);
  if (valid !== true) throw unreadable(`The XML is broken: ${valid.err.msg}`, valid.err.line);
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: '@',
    parseTagValue: false,
    parseAttributeValue: false,
    processEntities: false,
  });
  const root = parsed(parser, text);
  const gpx = root.gpx as Node | undefined;
  if (!gpx) throw unreadable('This is not a GPX file: its outermost element is not gpx.', 1);
  const nodes = asList(gpx.trk)
    .flatMap((track) => asList(track.trkseg))
    .flatMap((segment) => asList(segment.trkpt));
  if (nodes.length === 0) throw unreadable('The file holds no track points.');
  const lines = pointLines(text);
  const points = nodes.map((node, i) => ({
    line: lines[i] ?? 0,
    latitudeDeg: numberOf(node['@lat']),
    longitudeDeg: numberOf(node['@lon']),
    atMs: instantOf(node.time),
  }));
  if (points.every(({ atMs }) => atMs === null))
    throw unreadable(
      'None of the track points has a time, so there are no speeds; record the track with times.',
    );
  return points;
}

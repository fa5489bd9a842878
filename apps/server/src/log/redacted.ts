const HIDDEN = '[hidden]';

/** What lines of a log may hold of people: values of a failed query, secret addresses, passwords and codes in JSON. */
const PERSONAL: readonly (readonly [RegExp, string])[] = [
  [/^(\s*params:).*(?:\n(?!\s+at ).*)*/gm, `$1 ${HIDDEN}`],
  [/(\/api\/calendar\/)[^/\s]+(\/washes\.ics)/g, `$1${HIDDEN}$2`],
  [/("(?:password|code|secret|token|contact|cookie)"\s*:\s*)"(?:[^"\\]|\\.)*"/gi, `$1"${HIDDEN}"`],
];

/** A text for the log without what concerns nobody who reads logs. */
export const redacted = (text: string): string =>
  PERSONAL.reduce((left, [pattern, instead]) => left.replaceAll(pattern, instead), text);

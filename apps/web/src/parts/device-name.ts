/** What this phone or computer may be called where nobody says: what it is, and what runs on it. */
export function likelyDeviceName(userAgent: string): string {
  const system = ['Android', 'iPhone', 'iPad', 'Windows', 'Macintosh', 'Linux'].find((name) =>
    userAgent.includes(name),
  );
  if (system === undefined) return 'This device';
  const isPhone = system === 'iPhone' || (system === 'Android' && userAgent.includes('Mobile'));
  const plain = system === 'Macintosh' ? 'Mac' : system;
  return isPhone ? `Phone (${plain})` : `Computer (${plain})`;
}

/** The clocks of phone and server are held to be the same within this, ms. */
const CLOCK_SLACK_MS = 400;

/**
 * The server's clock less this phone's, ms. It is only moved where it is clearly off, so that no timer jumps for the sake of a slow
 * answer.
 *
 * @param serverNowMs as the server answered it
 * @param at when it was asked and answered by this phone's clock, and the difference known so far
 */
export function clockOffsetMs(
  serverNowMs: number,
  at: { readonly askedMs: number; readonly answeredMs: number; readonly knownMs: number | undefined },
): number {
  const { askedMs, answeredMs, knownMs } = at;
  const foundMs = serverNowMs - (askedMs + answeredMs) / 2;
  const slackMs = CLOCK_SLACK_MS + (answeredMs - askedMs) / 2;
  return knownMs !== undefined && Math.abs(foundMs - knownMs) <= slackMs ? knownMs : foundMs;
}

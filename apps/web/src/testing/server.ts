/** What the web sent, and what the made-up server answers. */
export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

export interface Answer {
  readonly status?: number;
  readonly body?: unknown;
}

/**
 * A server that answers as it is told and keeps what was sent.
 *
 * @param answer by request, at once or when its promise is kept; what it does not answer is an empty list for a reading and an empty
 *   object for a change
 */
export function madeUpServer(
  answer: (request: Sent) => Answer | undefined | Promise<Answer> = () => undefined,
): Sent[] {
  const sent: Sent[] = [];
  const reply = async (path: string, { method = 'GET', body }: RequestInit = {}): Promise<Response> => {
    const request: Sent = { method, path, body: typeof body === 'string' ? JSON.parse(body) : undefined };
    if (method !== 'GET') sent.push(request);
    const { status = 200, body: answered = method === 'GET' ? [] : {} } = (await answer(request)) ?? {};
    const response = {
      ok: status < 400,
      status,
      headers: new Headers(),
      json: () => Promise.resolve(answered),
      text: () => Promise.resolve(JSON.stringify(answered)),
    };
    return response as unknown as Response;
  };
  globalThis.fetch = reply as unknown as typeof fetch;
  return sent;
}

/** A refusal in the one shape of all errors. */
export const refusal = (field: string, message: string, status = 400): Answer => ({
  status,
  body: { error: { code: 'invalid', field, message } },
});

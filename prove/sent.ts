/** A request with its whole answer: an answer is one only when all of it has come. */
export async function sent(
  url: string,
  method: string,
  body?: object | string,
  headers: Record<string, string> = {},
): Promise<{ status: number; ok: boolean; text: string; headers: Headers }> {
  const response = await fetch(url, {
    method,
    headers: { 'Content-Type': 'application/json', ...headers },
    ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
  });
  return { status: response.status, ok: response.ok, text: await response.text(), headers: response.headers };
}

/** Says what is wrong where something is. */
export function held(isSo: boolean, otherwise: string): void {
  if (!isSo) throw new Error(otherwise);
}

/** The field that is typed or dragged in at this moment, if one is. */
export function typingIn(): Element | null {
  const field = globalThis.document?.activeElement;
  if (!field) return null;
  return /^(INPUT|TEXTAREA)$/.test(field.tagName) || field.getAttribute?.('role') === 'slider' ? field : null;
}

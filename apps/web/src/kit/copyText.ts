/** Copies a text; on a page that came by plain http, where the browser keeps its clipboard shut, by a field of our own. Answers whether it went. */
export async function copyText(text: string): Promise<boolean> {
  try {
    if ('clipboard' in navigator) {
      await navigator.clipboard.writeText(text);
      return true;
    }
  } catch {
    // Then the other way.
  }
  const field = document.createElement('textarea');
  field.value = text;
  field.setAttribute('readonly', '');
  field.style.position = 'fixed';
  field.style.opacity = '0';
  document.body.append(field);
  field.select();
  // Deprecated, and all that there is without TLS.
  const went = document.execCommand('copy');
  field.remove();
  return went;
}

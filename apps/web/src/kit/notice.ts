/** A word of this device to whoever carries it. */
export interface Notice {
  title: string;
  body: string;
  /** the same tag shows once, however often it is told */
  tag: string;
  /** where a tap leads */
  path?: string;
}

/**
 * Shows a notice of the system, where that is allowed. Telephones take it of the app that is kept on the device alone, and throw at a page
 * that shows it itself; where neither may, nothing is shown, and nothing breaks.
 */
export async function showNotice({ title, body, tag, path }: Notice): Promise<boolean> {
  if (!('Notification' in window) || Notification.permission !== 'granted') return false;
  try {
    const registration = await navigator.serviceWorker?.getRegistration();
    if (registration?.active != null) {
      await registration.showNotification(title, { body, tag, data: { path } });
      return true;
    }
  } catch {
    // Then by the page itself.
  }
  try {
    const notice = new Notification(title, { body, tag });
    notice.onclick = () => {
      window.focus();
      if (path !== undefined) location.assign(path);
    };
    return true;
  } catch {
    return false;
  }
}

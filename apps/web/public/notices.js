/* global self */
// A tap on a notice leads to where it is seen to: in a page of the house that is open, else in a new one.
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  const path = event.notification.data?.path ?? '/';
  event.waitUntil(
    self.clients.matchAll({ type: 'window', includeUncontrolled: true }).then((pages) => {
      const [page] = pages;
      if (page === undefined) return self.clients.openWindow(path);
      return page.focus().then((focused) => (focused.navigate === undefined ? undefined : focused.navigate(path)));
    }),
  );
});

/* global self */
// a touch on a notice of a timer brings the bench to the front
self.addEventListener('notificationclick', (event) => {
  event.notification.close();
  event.waitUntil(
    self.clients
      .matchAll({ type: 'window', includeUncontrolled: true })
      .then(([client]) =>
        client ? client.focus() : self.clients.openWindow(self.registration.scope),
      ),
  );
});

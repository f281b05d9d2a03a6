/** Whether the browser could show desktop notifications but has not been asked yet. */
export function notificationsWanted(): boolean {
  return 'Notification' in window && Notification.permission === 'default';
}

export function askForNotifications() {
  void Notification.requestPermission();
}

const shown = new Map<string, Notification>();

/** Keeps a desktop notification for each ringing call, and for no other. */
export function showNotifications(ringing: { id: string; title: string; body: string }[]) {
  for (const [id, notification] of shown) {
    if (!ringing.some((call) => call.id === id)) {
      notification.close();
      shown.delete(id);
    }
  }
  if (!('Notification' in window) || Notification.permission !== 'granted') {
    return;
  }
  for (const call of ringing) {
    if (!shown.has(call.id)) {
      const notification = new Notification(call.title, {
        body: call.body,
        tag: call.id,
        icon: '/mark.svg',
      });
      notification.onclick = () => {
        window.focus();
        notification.close();
      };
      shown.set(call.id, notification);
    }
  }
}

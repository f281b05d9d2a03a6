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
      shown.set(call.id, show(call.title, call.body, call.id));
    }
  }
}

/** Tells something once, where that is allowed. */
export function tell(title: string, body: string) {
  if ('Notification' in window && Notification.permission === 'granted') {
    show(title, body, title);
  }
}

function show(title: string, body: string, tag: string): Notification {
  const notification = new Notification(title, { body, tag, icon: '/mark.svg' });
  notification.onclick = () => {
    window.focus();
    notification.close();
  };
  return notification;
}

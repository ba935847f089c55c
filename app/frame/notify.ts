/** Says it also when another window is in front, where the maker allowed that. */
export function notify(words: string, tag: string): void {
  if (!("Notification" in window) || Notification.permission !== "granted") return;
  // On phones only the service worker may notify.
  void navigator.serviceWorker?.getRegistration().then((worker) => {
    if (worker !== undefined) return worker.showNotification(words, { tag });
    new Notification(words, { tag });
    return undefined;
  });
}

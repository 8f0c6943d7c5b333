/** The page as it is installed on this device, and a newer one that waits. */
class Version {
  /** A newer one is there; it shows once the page is loaded again. */
  newer = $state(false);
  private waiting: ServiceWorker | null = null;

  /** Installs the product where the browser can: it then opens without a network. */
  async install() {
    if (import.meta.env.DEV || !navigator.serviceWorker) return;
    const hadOne = navigator.serviceWorker.controller !== null;
    navigator.serviceWorker.addEventListener('controllerchange', () => {
      // the first one takes over a page that is fresh; a later one was asked to
      if (hadOne) location.reload();
    });
    try {
      const installed = await navigator.serviceWorker.register('/sw.js');
      if (!installed) return;
      this.wait(installed.waiting);
      installed.addEventListener('updatefound', () => {
        const next = installed.installing;
        next?.addEventListener('statechange', () => {
          if (next.state === 'installed' && navigator.serviceWorker.controller) this.wait(next);
        });
      });
    } catch {
      // it works without
    }
  }

  private wait(worker: ServiceWorker | null) {
    this.waiting = worker;
    this.newer = worker !== null;
  }

  /** Loads the newer one. */
  take() {
    this.waiting?.postMessage({ type: 'SKIP_WAITING' });
  }
}

export const version = new Version();

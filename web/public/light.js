// What the first paint must know: light or dark, as was chosen, else as the device says; the style sheets for that and for mouse or thumb; and whether
// checks were here when the ledger was last seen. The names are those of data/storage/preferences.ts. And keys pressed early are kept for the program.
(() => {
  const kept = (name) => {
    try {
      return localStorage.getItem(`mellow-probe.${name}`);
    } catch {
      // Storage that cannot be read has no say.
      return null;
    }
  };
  const { dataset } = document.documentElement;
  const chosen = kept('theme');
  const dark = chosen === 'dark' || (chosen !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches);
  dataset.theme = dark ? 'dark' : 'light';
  const hand = matchMedia('(pointer: coarse)').matches ? 'thumb' : 'mouse';
  // Put in by a script they hold up no paint; the program waits for them before it begins. The library's go first: our own dress lies over it.
  for (const name of [`library-${dataset.theme}-${hand}`, 'sheet'])
    document.querySelectorAll(`meta[name="${name}"]`).forEach((meta) => {
      const link = document.createElement('link');
      link.setAttribute('rel', 'stylesheet');
      link.setAttribute('crossorigin', '');
      link.setAttribute('href', meta.getAttribute('content'));
      link.onload = link.onerror = () => link.setAttribute('data-ended', '');
      document.head.append(link);
    });
  // A key pressed before the program can answer is answered when it can: what it has taken meanwhile is not pressed again.
  /** @type {string[]} */
  const early = [];
  /** @param {KeyboardEvent} event */
  const keep = (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.key.length > 1) return;
    if (event.target !== document.body) return;
    setTimeout(() => {
      if (!event.defaultPrevented) early.push(event.key);
    });
  };
  addEventListener('keydown', keep);
  addEventListener(
    'begun',
    () => {
      removeEventListener('keydown', keep);
      for (const key of early)
        document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    },
    { once: true },
  );
  if (location.pathname === '/' && kept('checks') !== 'yes') dataset.visit = 'first';
})();

// What the first paint must know: light or dark, as was chosen, else as the device says; the style sheets for that and for mouse or thumb; and whether
// checks were here when the ledger was last seen. The names are those of storage/preferences.ts.
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
  if (location.pathname === '/' && kept('checks') !== 'yes') dataset.visit = 'first';
})();

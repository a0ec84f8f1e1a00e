// Light or dark before the first paint: what was chosen, else what the device says. The same name as in storage/preferences.ts.
(() => {
  let chosen = null;
  try {
    chosen = localStorage.getItem('mellow-probe.theme');
  } catch {
    // Storage that cannot be read has no say.
  }
  const dark = chosen === 'dark' || (chosen !== 'light' && matchMedia('(prefers-color-scheme: dark)').matches);
  document.documentElement.dataset.theme = dark ? 'dark' : 'light';
})();

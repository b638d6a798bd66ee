// Sets the colour scheme before the first paint; the app takes over from there.
(function () {
  try {
    const kept = localStorage.getItem('mantine-color-scheme-value');
    const dark =
      kept === 'dark' || ((kept === null || kept === 'auto') && matchMedia('(prefers-color-scheme: dark)').matches);
    document.documentElement.setAttribute('data-mantine-color-scheme', dark ? 'dark' : 'light');
  } catch {
    document.documentElement.setAttribute('data-mantine-color-scheme', 'light');
  }
})();

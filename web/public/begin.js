// Begins the program: its files are on their way, and each is run in a turn of its own, the program last. Run at one go they hold a phone for half a
// second, in which nothing that is pressed is answered.
for (const { href } of document.querySelectorAll('link[rel="modulepreload"]')) {
  await import(href);
  await new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = resolve;
    port2.postMessage(null);
  });
}

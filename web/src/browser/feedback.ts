/** What a technician notices whose eyes are on the probes: a voice and a short tremble. Where the browser has neither, nothing happens. */

/** Has this browser a voice of its own? */
export function canSpeak(): boolean {
  return 'speechSynthesis' in window;
}

/** Says a text with the browser's own voice, and breaks off what was being said. Voices that need a network are left alone where there are others. */
export function speak(text: string): void {
  if (!canSpeak()) return;
  const words = new SpeechSynthesisUtterance(text);
  words.lang = 'en';
  const voices = speechSynthesis.getVoices().filter((v) => v.lang.startsWith('en'));
  words.voice = voices.find((v) => v.localService) ?? voices[0] ?? null;
  speechSynthesis.cancel();
  speechSynthesis.speak(words);
}

/** A short tremble of a phone, ms. */
export function tremble(ms: number): void {
  if ('vibrate' in navigator) navigator.vibrate(ms);
}

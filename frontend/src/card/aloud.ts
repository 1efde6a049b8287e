/** What a person hears and feels where they asked for it; and a screen that does not go dark. */
import { preferences } from "../state/preferences.svelte";

/** Speak what was written, where the system has a voice. */
function speak(said: string): void {
  if (!preferences.speaks || !("speechSynthesis" in globalThis)) return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(said));
}

let audio: AudioContext | null = null;

/** A short tone, high where it is in, low where it is not; and a tap on the hand. */
function sound(fine: boolean, seconds = 0.25): void {
  if (!preferences.sounds) return;
  navigator.vibrate?.(fine ? 60 : [60, 80, 60]);
  try {
    audio ??= new AudioContext();
    const tone = audio.createOscillator();
    const gain = audio.createGain();
    tone.frequency.value = fine ? 880 : 330;
    gain.gain.setValueAtTime(0.12, audio.currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + seconds);
    tone.connect(gain).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + seconds);
  } catch {
    // a browser that makes no sound says it all the same
  }
}

/** The click of a wrench, in the ear and on the hand. */
export function click(): void {
  sound(true, 0.04);
}

/** Let what was just said be heard. */
export function hear(said: string): void {
  if (!said) return;
  speak(said);
  sound(/in range/.test(said));
}

/** Keep the screen on for as long as a card is open; the returned function lets it go. */
export function stayOn(): () => void {
  let lock: WakeLockSentinel | null = null;
  let gone = false;
  const hold = async (): Promise<void> => {
    if (document.visibilityState !== "visible" || !("wakeLock" in navigator)) return;
    try {
      lock = await navigator.wakeLock.request("screen");
      if (gone) await lock.release();
    } catch {
      // an empty battery, or a system that does not allow it
    }
  };
  document.addEventListener("visibilitychange", hold);
  void hold();
  return () => {
    gone = true;
    document.removeEventListener("visibilitychange", hold);
    void lock?.release().catch(() => undefined);
  };
}

import { keptStory } from '../job/kept-story';

/** Whoever signs out leaves nothing on this device but what waits to be sent. */
export async function forgetHere(): Promise<void> {
  const reg = await navigator.serviceWorker?.getRegistration();
  reg?.active?.postMessage({ forget: true });
  await keptStory.forget().catch(() => {});
}

import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { paragraphWav } from '../support/paragraph-sound';
import { expectAccessible } from './accessible';
import { classOf, copyOf, origin, ownFolder, test } from './desk-page';
import { inBrowser } from './own-browser';

/*
 * The prompter that follows by ear, with what ships: the demo take played into the page in place of a microphone, and
 * Chromium's own fake devices where permission and silence are the question.
 */

const folder = ownFolder();
const ear = (page: Page) => page.getByTestId('ear');
const line = (page: Page) => page.getByTestId('line-now');
const ferry = 'Before the First Ferry';

interface Told {
  readonly event: string;
  readonly atSeconds: number;
  readonly placeSeconds: number;
}

/** What the log of the class on the page holds. */
function logged(page: Page): Promise<Told[]> {
  return page.evaluate(() => {
    const [, run = '{"log":{"events":[]}}'] =
      Object.entries(localStorage).find(([key]) => key.startsWith('performance/')) ?? [];
    return (JSON.parse(String(run)) as { log: { events: Told[] } }).log.events;
  });
}

/** When each line of the demo take is truly said, on its clock. */
const truth = (
  JSON.parse(readFileSync(new URL('../../demo/take/before-the-first-ferry.truth.json', import.meta.url), 'utf8')) as {
    said: { cueId: string | null; text: string; startSeconds: number }[];
  }
).said.filter(({ cueId }) => cueId !== null);

/** How much of the stand-in's sound was played, by the page's clock from when it began. */
interface Played {
  readonly atSeconds: number;
  readonly soundSeconds: number;
}

/**
 * Keeps what was played of a sound, and when: a computer that lends its processor elsewhere plays it later than the clock
 * goes, and what is said in it is then truly said later.
 */
async function keepPlayed(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const played: Played[] = [];
    Object.assign(window, { played });
    const start = Reflect.get<object, string>(AudioBufferSourceNode.prototype, 'start') as () => void;
    AudioBufferSourceNode.prototype.start = function () {
      start.call(this);
      if (this.loop) return;
      const [began, from] = [performance.now(), this.context.currentTime];
      setInterval(() => {
        const soundSeconds = this.context.currentTime - from;
        played.push({ atSeconds: (performance.now() - began) / 1000, soundSeconds });
      }, 50);
    };
  });
}

/** When a second of the sound was played, by the page's clock. */
async function whenPlayed(page: Page): Promise<(soundSeconds: number) => number> {
  const played = await page.evaluate(() => (window as { played?: Played[] }).played ?? []);
  return (soundSeconds) => played.find((one) => one.soundSeconds >= soundSeconds)?.atSeconds ?? Infinity;
}

/** Opens a class with the take of the demo for its microphone, and waits until it follows by ear. */
async function openByEar(page: Page): Promise<void> {
  const id = await copyOf(ferry);
  await page.goto(`${origin()}/classes/${await classOf(ferry)}/takes`);
  const href = await page.getByRole('link', { name: 'Monday, before the ferry' }).getAttribute('href');
  await page.goto(`${origin()}/classes/${id}/perform?stand-in=/api/takes/${href?.split('/').at(-1) ?? ''}/sound`);
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
  await page.keyboard.press('e');
  await expect(ear(page)).toContainText('Getting ready to follow by ear');
  await expect(ear(page)).toContainText(/Following by ear/, { timeout: 120_000 });
}

test(
  'the prompter follows what is said, logs when it was, and is moved by hand all the same',
  { tag: '@alone' },
  async ({ page }) => {
    test.setTimeout(300_000);
    await keepPlayed(page);
    await openByEar(page);
    await page.keyboard.press('Space');
    await expect(line(page)).toContainText('Good morning');
    // The second line of the take is said at 10.8 s; one that the plan has between was passed over.
    await expect(line(page)).toContainText('Feet a hand’s width apart', { timeout: 40_000 });
    await expectAccessible(page, 'the prompter that follows by ear');
    await expect(line(page)).toContainText('The crown of the head', { timeout: 40_000 });
    await expect(line(page)).toContainText('In, shoulders rise and turn.', { timeout: 40_000 });
    const heard = (await logged(page)).filter(({ event }) => event === 'heard');
    // Lines are logged when they began to be said; the stand-in speaks from when the class begins.
    const when = await whenPlayed(page);
    const right = truth
      .slice(0, 6)
      .filter(({ startSeconds }) => heard.some(({ atSeconds }) => Math.abs(atSeconds - when(startSeconds)) < 1));
    expect(right.length).toBeGreaterThanOrEqual(4);
    await page.keyboard.press('PageDown');
    await expect(line(page)).not.toContainText('In, shoulders rise and turn.');
    await page.keyboard.press('e');
    await expect(ear(page)).toHaveCount(0);
    expect((await logged(page)).at(-1)?.event).toBe('by-clock');
  },
);

test('a microphone that is unplugged in mid-class says so, and the clock goes on', async ({ page }) => {
  test.setTimeout(300_000);
  await page.addInitScript(() => {
    const make = Reflect.get<object, string>(
      AudioContext.prototype,
      'createMediaStreamDestination',
    ) as () => MediaStreamAudioDestinationNode;
    Object.assign(window, { unplug: () => undefined });
    const Original = MediaStreamAudioDestinationNode;
    AudioContext.prototype.createMediaStreamDestination = function () {
      const made = make.call(this);
      if (made instanceof Original)
        Object.assign(window, { unplug: () => made.stream.getAudioTracks()[0]?.dispatchEvent(new Event('ended')) });
      return made;
    };
  });
  await openByEar(page);
  await page.keyboard.press('Space');
  await expect(line(page)).toContainText('Good morning');
  await page.evaluate(() => (window as { unplug?: () => void }).unplug?.());
  await expect(page.getByRole('alert')).toContainText('The microphone was unplugged. The clock goes on');
  await expect(line(page)).toContainText('Stay within about seventy per cent', { timeout: 30_000 });
});

test('a microphone that is refused, or none, or that gives no sound, is told, and the clock goes on', async () => {
  test.setTimeout(300_000);
  const id = await classOf(ferry);
  const still = paragraphWav(folder, 'no-sound.wav', { gain: 0 }).path;
  const cases = [
    [['--use-fake-device-for-media-stream'], 'was not allowed to use the microphone'],
    [['--use-fake-ui-for-media-stream'], 'No microphone was found'],
    [
      [
        '--use-fake-device-for-media-stream',
        '--use-fake-ui-for-media-stream',
        `--use-file-for-fake-audio-capture=${still}`,
      ],
      'No sound from the microphone; the clock goes on',
    ],
  ] as const;
  for (const [args, says] of cases) {
    await inBrowser(args, async (own) => {
      await own.goto(`${origin()}/classes/${id}/perform`);
      await expect(own.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
      await own.keyboard.press('e');
      await own.keyboard.press('Space');
      await expect(own.getByText(says)).toBeVisible({ timeout: 90_000 });
      await expect(line(own)).toContainText('Stay within about seventy per cent', { timeout: 30_000 });
    });
  }
});

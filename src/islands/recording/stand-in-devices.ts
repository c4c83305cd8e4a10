import { drawTestPicture, PICTURE } from '../stand-in/test-picture';

/** The stand-in that the address asks for with `?stand-in`; `null` where the devices are meant. */
export function standInAsked(): string | null {
  return new URLSearchParams(location.search).get('stand-in');
}

/** Opens it; `?stand-in=/address/of/a/sound` plays that sound of this application, from when `begins` is settled. */
export async function openStandIn(asked: string, begins: Promise<void> = Promise.resolve()): Promise<MediaStream> {
  if (!/^\/[\w/.-]+$/.test(asked)) return standInDevices(null, begins);
  const answer = await fetch(asked);
  return standInDevices(answer.ok ? new File([await answer.blob()], 'stand-in') : null, begins);
}

/** Smaller and slower than a camera's, so that an encoder without a graphics card keeps pace. */
const CAMERA = { width: 640, height: 360 } as const;
const PICTURES_A_SECOND = 15;

/**
 * Stands in for a camera and a microphone: a picture that moves, and a sound file (a practice take, say) that is played
 * into the page from where recording begins. Without a file there is a low tone that swells once in 6 s.
 */
async function standInDevices(sound: File | null, begins: Promise<void>): Promise<MediaStream> {
  const canvas = document.createElement('canvas');
  Object.assign(canvas, CAMERA);
  const picture = canvas.getContext('2d');
  picture?.scale(CAMERA.width / PICTURE.width, CAMERA.height / PICTURE.height);
  const began = performance.now();
  const draw = (): void => {
    if (picture) drawTestPicture(picture, (performance.now() - began) / 1000);
  };
  draw();
  const drawing = setInterval(draw, 1_000 / PICTURES_A_SECOND);
  const context = new AudioContext();
  const into = context.createMediaStreamDestination();
  hiss(context).connect(into);
  if (sound) {
    const source = new AudioBufferSourceNode(context, {
      buffer: await context.decodeAudioData(await sound.arrayBuffer()),
    });
    source.connect(into);
    void begins.then(() => source.start());
  } else {
    const gain = new GainNode(context, { gain: 0.1 });
    const swell = new OscillatorNode(context, { frequency: 1 / 6 });
    swell.connect(new GainNode(context, { gain: 0.05 })).connect(gain.gain);
    const tone = new OscillatorNode(context, { frequency: 196 });
    tone.connect(gain).connect(into);
    tone.start();
    swell.start();
  }
  const stream = new MediaStream([...canvas.captureStream(PICTURES_A_SECOND).getTracks(), ...into.stream.getTracks()]);
  stream.getVideoTracks()[0]?.addEventListener('ended', () => clearInterval(drawing));
  const watch = setInterval(() => {
    if (stream.active) return;
    clearInterval(watch);
    clearInterval(drawing);
    void context.close();
  }, 1_000);
  return stream;
}

/** A room is never quite silent: steady noise at −51 dB of full scale. */
function hiss(context: AudioContext): AudioNode {
  const buffer = new AudioBuffer({ length: 2 * context.sampleRate, sampleRate: context.sampleRate });
  buffer.copyToChannel(
    Float32Array.from({ length: buffer.length }, () => 0.01 * (Math.random() - 0.5)),
    0,
  );
  const noise = new AudioBufferSourceNode(context, { buffer, loop: true });
  noise.start();
  return noise;
}

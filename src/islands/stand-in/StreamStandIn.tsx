import { useEffect, useRef, useState } from 'react';
import { saveFile } from '@/ui/parts/save-file';
import { drawTestPicture, PICTURE } from './test-picture';

/** What may be laid over the picture: pages of this application alone. */
const OVERLAY_PATH = /^\/(live\/[a-z0-9]{8,12}|classes\/[0-9a-f-]{36})\/stage\?see-through[\w&=,-]*$/;
const PIECE_MILLISECONDS = 1_000;

/** The path of an overlay out of what was typed or pasted; `null` where it is none. */
function overlayPath(typed: string): string | null {
  try {
    const { pathname, search, origin } = new URL(typed.trim(), location.origin);
    return origin === location.origin && OVERLAY_PATH.test(pathname + search) ? pathname + search : null;
  } catch {
    return null;
  }
}

/**
 * Stands in for a streaming program: a camera's picture with the overlay laid over it as a web source, recorded as it
 * is seen. It makes no stream.
 */
export function StreamStandIn({ overlay }: { readonly overlay: string }) {
  const [typed, setTyped] = useState(overlay);
  const recording = useTabRecording();
  const path = overlayPath(typed);
  return (
    <main id="main" className="flex flex-col gap-4 p-4">
      <h1 className="text-xl font-semibold">Stand-in for a streaming program</h1>
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex min-w-72 flex-1 flex-col">
          Address of the overlay
          <input
            className="input w-full"
            value={typed}
            maxLength={300}
            aria-invalid={typed !== '' && path === null}
            onChange={(event) => setTyped(event.target.value)}
          />
        </label>
        <button type="button" className="btn btn-primary" onClick={recording.toggle}>
          {recording.running ? 'Stop and save' : 'Record what is seen'}
        </button>
      </div>
      {typed !== '' && path === null && (
        <p role="alert" className="text-error">
          Paste the address of an overlay of this application, as the prompter shows it.
        </p>
      )}
      {recording.trouble !== '' && (
        <p role="alert" className="text-error">
          {recording.trouble}
        </p>
      )}
      <Picture path={path} />
    </main>
  );
}

/** The picture in its size, made as small as the page. */
function Picture({ path }: { readonly path: string | null }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const frame = useRef<HTMLDivElement>(null);
  const [scale, setScale] = useState(0.5);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context) return undefined;
    let request = 0;
    const draw = (now: number): void => {
      drawTestPicture(context, now / 1000);
      request = requestAnimationFrame(draw);
    };
    request = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(request);
  }, []);
  useEffect(() => {
    const element = frame.current;
    if (!element) return undefined;
    const watch = new ResizeObserver(() => setScale(element.clientWidth / PICTURE.width));
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return (
    <div ref={frame} className="relative aspect-video w-full max-w-[1280px] overflow-hidden" data-testid="stream">
      <canvas ref={canvas} {...PICTURE} className="absolute inset-0 h-full w-full" aria-label="The camera’s picture" />
      {path !== null && (
        <iframe
          title="The overlay"
          src={path}
          {...PICTURE}
          className="absolute top-0 left-0 origin-top-left border-0 bg-transparent"
          style={{ transform: `scale(${scale})` }}
        />
      )}
    </div>
  );
}

/** Records this tab as it is seen, to a file. */
function useTabRecording() {
  const [running, setRunning] = useState<MediaRecorder | null>(null);
  const [trouble, setTrouble] = useState('');
  const start = async (): Promise<void> => {
    setTrouble('');
    try {
      const options = { video: { frameRate: 30 }, audio: false, preferCurrentTab: true };
      const stream = await navigator.mediaDevices.getDisplayMedia(options);
      const recorder = new MediaRecorder(stream, { mimeType: 'video/webm' });
      const pieces: Blob[] = [];
      recorder.ondataavailable = ({ data }) => pieces.push(data);
      recorder.onstop = () => {
        for (const track of stream.getTracks()) track.stop();
        setRunning(null);
        saveFile('stand-in-stream.webm', new Blob(pieces, { type: 'video/webm' }), 'video/webm');
      };
      stream.getVideoTracks()[0]?.addEventListener('ended', () => recorder.stop());
      recorder.start(PIECE_MILLISECONDS);
      setRunning(recorder);
    } catch {
      setTrouble('The browser did not let the page be recorded. Nothing was saved.');
    }
  };
  return {
    running: running !== null,
    trouble,
    toggle: () => {
      if (running) running.stop();
      else void start();
    },
  };
}

/** The size that streams are made in. */
export const PICTURE = { width: 1920, height: 1080 } as const;

/**
 * A picture that moves, as a camera would give one: a harbour at dawn, a boat that crosses it in 20 s, somebody who
 * breathes with their arms, and the time to the frame. `seconds` is the time that is shown.
 */
export function drawTestPicture(context: CanvasRenderingContext2D, seconds: number): void {
  const { width, height } = PICTURE;
  const horizon = height * 0.58;
  const sky = context.createLinearGradient(0, 0, 0, horizon);
  sky.addColorStop(0, '#7e9fb8');
  sky.addColorStop(1, '#e8d3b0');
  context.fillStyle = sky;
  context.fillRect(0, 0, width, horizon);
  context.fillStyle = '#55737c';
  context.fillRect(0, horizon, width, height - horizon);
  for (let wave = 0; wave < 24; wave++) {
    const y = horizon + 12 + wave * wave * 0.8;
    const shift = Math.sin(seconds * 0.7 + wave) * 30;
    context.fillStyle = wave % 2 === 0 ? '#648590' : '#4b6871';
    context.fillRect(((wave * 263) % width) + shift, y, 220 + wave * 12, 3 + wave / 4);
  }
  const boat = ((seconds % 20) / 20) * (width + 300) - 150;
  context.fillStyle = '#2d3a3c';
  context.beginPath();
  context.moveTo(boat - 90, horizon - 6);
  context.lineTo(boat + 90, horizon - 6);
  context.lineTo(boat + 60, horizon + 26);
  context.lineTo(boat - 66, horizon + 26);
  context.fill();
  drawPerson(context, width * 0.62, height * 0.9, Math.sin(seconds * 0.8) * 0.5 + 0.5);
  context.fillStyle = '#fdfcf7';
  context.font = '30px monospace';
  context.fillText(`stand-in picture ${seconds.toFixed(2)} s`, width - 470, height - 28);
}

/** A figure whose arms rise from 0 to 1. */
function drawPerson(context: CanvasRenderingContext2D, x: number, y: number, raised: number): void {
  context.strokeStyle = '#3a3f36';
  context.lineCap = 'round';
  context.lineWidth = 58;
  const line = (...points: [number, number][]): void => {
    context.beginPath();
    points.forEach(([dx, dy], at) => (at === 0 ? context.moveTo(x + dx, y + dy) : context.lineTo(x + dx, y + dy)));
    context.stroke();
  };
  line([-80, 0], [-46, -230], [46, -230], [80, 0]);
  context.lineWidth = 110;
  line([0, -260], [0, -480]);
  context.lineWidth = 40;
  for (const side of [-1, 1])
    line([side * 60, -490], [side * 180, -430 - 160 * raised], [side * 230, -330 - 330 * raised]);
  context.fillStyle = '#b98d6b';
  context.beginPath();
  context.arc(x, y - 600, 66, 0, 2 * Math.PI);
  context.fill();
}

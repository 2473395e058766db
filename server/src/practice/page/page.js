const TICKS_EVERY_MM = 10;
const PX_PER_MM = 500 / 300;
const JAW_FROM = 0;
/** Where the jaw is taken hold of when it is closed. */
const JAW_MIDDLE = 120;

const section = (kind) => document.querySelector(`[data-kind="${kind}"]`);
const say = (kind, text) => {
  section(kind).querySelector('output').textContent = text;
};

const ticks = document.getElementById('ticks');
for (let mm = 0; mm <= 300; mm += TICKS_EVERY_MM) {
  const tick = document.createElementNS('http://www.w3.org/2000/svg', 'path');
  tick.setAttribute('class', 'tick');
  tick.setAttribute('d', `M${66 + mm * PX_PER_MM} 74v-${mm % 50 === 0 ? 14 : 8}`);
  ticks.append(tick);
}

/** A slider and a line to type on that say the same; whoever draws the device is told. */
function linked(id, most, digits, draw) {
  const slider = document.getElementById(id);
  const typed = document.getElementById(`${id}-typed`);
  const set = (value, from) => {
    if (from !== slider) slider.value = String(value);
    if (from !== typed) typed.value = value.toFixed(digits);
    draw(value);
  };
  slider.addEventListener('input', () => set(Number(slider.value), slider));
  typed.addEventListener('input', () => {
    const value = Number(typed.value.replace(',', '.'));
    if (Number.isFinite(value) && value >= 0 && value <= most) set(value, typed);
  });
  set(Number(slider.value), slider);
  return { value: () => Number(slider.value), set };
}

const length = linked('length', 300, 2, (mm) => {
  document.getElementById('jaw').setAttribute('transform', `translate(${JAW_FROM + mm * PX_PER_MM} 0)`);
  document.getElementById('jaw-says').textContent = mm.toFixed(2);
});
const mass = linked('mass', 500, 1, (grams) => {
  document.getElementById('ball').setAttribute('r', String(6 + Math.cbrt(grams) * 5));
  document.getElementById('scale-says').textContent = `${grams.toFixed(1)} g`;
});

/** The jaw itself can be dragged along its beam. */
const beam = section('calliper').querySelector('svg');
const dragged = ({ clientX, buttons }) => {
  if (buttons === 0) return;
  const { left, width } = beam.getBoundingClientRect();
  const x = ((clientX - left) / width) * 640;
  length.set(Math.min(300, Math.max(0, Math.round(((x - JAW_MIDDLE) / PX_PER_MM) * 100) / 100)));
};
beam.addEventListener('pointerdown', (event) => {
  beam.setPointerCapture(event.pointerId);
  dragged(event);
});
beam.addEventListener('pointermove', dragged);

async function press(kind, value) {
  try {
    const sent = await fetch('/press', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ kind, value }),
    });
    const { answer } = await sent.json();
    say(kind, answer.startsWith('OK') ? `Sent (${answer}).` : `Not taken: ${answer}.`);
  } catch {
    say(kind, 'Not sent: this page’s program has ended. Start ./snug devices again.');
  }
}

section('calliper')
  .querySelector('button')
  .addEventListener('click', () => press('calliper', length.value()));
section('scale')
  .querySelector('button')
  .addEventListener('click', () => press('scale', mass.value()));
section('clicker')
  .querySelector('button')
  .addEventListener('click', () => press('clicker', 0));

async function look() {
  const state = await fetch('/state').then(
    (answer) => answer.json(),
    () => ({}),
  );
  for (const kind of ['calliper', 'scale', 'clicker']) {
    const output = section(kind).querySelector('output');
    if (!state[kind]) output.textContent = 'Waiting for Keep Snug to be started…';
    else if (output.textContent === '' || output.textContent.startsWith('Waiting')) output.textContent = 'Connected.';
  }
}
void look();
setInterval(look, 1500);

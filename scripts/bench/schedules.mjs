// The planner against its own bound and against the integer-programming library alone, on a real plan and on made-up schedules.
import { checkSchedule, solveSchedule } from '@keen/core';
import { median } from './shared.mjs';

const internals = new URL('../../packages/core/dist/schedule/', import.meta.url);
const { compile } = await import(new URL('compiled.js', internals));
const { programModel } = await import(new URL('program-model.js', internals));
const { loadSolver, solveProgram } = await import(new URL('integer-program.js', internals));

const JOBS = 60;
const SLOTS = 240;
const PLACES = [0, 1, 2, 3];
const QUICK_SECONDS = 2;
const PROOF_SECONDS = 60;

/** Numbers 0–1, the same every time. */
function chance(seed) {
  let state = seed;
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
}

/** Every way past home, or straight from place to place. */
const TRAVEL = {
  home: () => {
    const home = [0, 12, 20, 9];
    return home.map((a) => home.map((b) => a + b));
  },
  apart: (next) => {
    const at = PLACES.map(() => [30 * next(), 30 * next()]);
    return at.map(([x, y]) => at.map(([u, v]) => Math.round(Math.hypot(x - u, y - v))));
  },
};

const VALUES = {
  /** Sooner is better, and places differ. */
  steady: ({ worth, bonus, slot, next }) => worth + bonus + 2 * next() - 0.05 * slot,
  /** Nothing is like its neighbour. */
  any: ({ next }) => 100 * next(),
};

/** Sixty jobs at four places in 240 slots. */
function madeUp({ slotMinutes, density, travel, value, seed }) {
  const next = chance(seed);
  const travelMinutes = TRAVEL[travel](next);
  const isOpen = (slot) => {
    const hour = ((slot * slotMinutes) / 60) % 24;
    return slotMinutes < 60 || (hour >= 7 && hour < 20);
  };
  const options = [];
  for (let job = 0; job < JOBS; job += 1) {
    const worth = 10 + 40 * next();
    for (const place of PLACES) {
      const bonus = 12 * next();
      const durationMinutes = 30 * (1 + Math.floor(4 * next()));
      for (let slot = 0; slot < SLOTS; slot += 1) {
        if (!isOpen(slot) || next() > density) continue;
        const worthHere = Math.round(100 * VALUES[value]({ worth, bonus, slot, next })) / 100;
        options.push({ job, place, startSlot: slot, durationMinutes, crew: 0, value: worthHere });
      }
    }
  }
  const open = Array.from({ length: SLOTS }, (_, slot) => (isOpen(slot) ? 1 : 0));
  const size = { slotMinutes, slotCount: SLOTS, jobCount: JOBS, crewCount: 1 };
  return { ...size, capacity: PLACES.map(() => open), travelMinutes, stock: [], options };
}

/** The library by itself proves the first ones within minutes; the others it does not. */
const MADE_UP = {
  'by the hour, ways past home': { slotMinutes: 60, density: 0.3, travel: 'home', value: 'steady', seed: 5 },
  'half hours, places apart, few starts': {
    slotMinutes: 30,
    density: 0.05,
    travel: 'apart',
    value: 'any',
    seed: 7,
  },
};
const HARD = {
  'half hours, places apart, every start': {
    slotMinutes: 30,
    density: 1,
    travel: 'apart',
    value: 'steady',
    seed: 3,
  },
  'quarter hours, places apart, every start': {
    slotMinutes: 15,
    density: 1,
    travel: 'apart',
    value: 'steady',
    seed: 3,
  },
};

const clockSeconds = () => performance.now() / 1000;
const solved = (problem, timeLimitSeconds) => solveSchedule(problem, { clockSeconds, timeLimitSeconds });

/** What it answers, and the median of its seconds. */
async function measured(work, runs) {
  const seconds = [];
  let answer;
  for (let run = 0; run < runs; run += 1) {
    const start = clockSeconds();
    answer = await work();
    seconds.push(clockSeconds() - start);
  }
  return { answer, seconds: median(seconds) };
}

async function byLibraryAlone(problem) {
  const highs = await loadSolver();
  const compiled = compile(problem);
  const all = Array.from({ length: compiled.count }, (_, i) => i);
  const quiet = { isOver: () => false, onBetter: () => undefined, startWith: [] };
  return solveProgram(highs, programModel(compiled, all), { secondsLeft: 2 * PROOF_SECONDS, ...quiet });
}

/**
 * @param planned the problem of a real plan
 * @param add takes a row: what, measured, asked, whether it is met
 */
export async function measureSchedules(planned, add) {
  let faults = 0;
  const check = (problem, { chosen }) => (faults += checkSchedule(problem, chosen).length);
  const told = (name, { problem, quick, best }) => {
    const share = (100 * quick.value) / best.bound;
    const what = `schedule, ${name}, ${problem.options.length} options: 2 s against the bound`;
    add(what, { measured: `${share.toFixed(2)} %`, asked: '≥ 99 %', ok: share >= 99 });
    check(problem, quick);
    check(problem, best);
  };
  const provable = Object.entries(MADE_UP).map(([name, kind]) => [name, madeUp(kind), 1]);
  // A plan is proven so soon that what is compiled first would count for most of it.
  for (const [name, problem, runs] of [['that plan', planned, 3], ...provable]) {
    const quick = await solved(problem, QUICK_SECONDS);
    const { answer: best, seconds } = await measured(() => solved(problem, PROOF_SECONDS), runs);
    told(name, { problem, quick, best });
    const { answer: alone, seconds: aloneSeconds } = await measured(() => byLibraryAlone(problem), runs);
    const limit = runs > 1 ? aloneSeconds : PROOF_SECONDS;
    add(`schedule, ${name}: until proven`, {
      measured: `${seconds.toFixed(2)} s, ${best.status}`,
      asked: runs > 1 ? 'no later than HiGHS alone' : `≤ ${PROOF_SECONDS} s`,
      ok: best.status === 'proven' && seconds <= limit,
    });
    const how = alone.isProven ? 'proven' : 'not proven';
    add(`schedule, ${name}: HiGHS alone`, {
      measured: `${aloneSeconds.toFixed(2)} s, ${how}`,
      asked: 'no figure asked',
      ok: true,
    });
  }
  for (const [name, kind] of Object.entries(HARD)) {
    const problem = madeUp(kind);
    const quick = await solved(problem, QUICK_SECONDS);
    told(name, { problem, quick, best: await solved(problem, PROOF_SECONDS / 2) });
  }
  add('schedules: faults found by the checker', { measured: `${faults}`, asked: '0', ok: faults === 0 });
}

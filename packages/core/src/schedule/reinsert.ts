import type { Compiled } from './compiled.js';
import { CrewSequence, type SequenceJob } from './crew-sequence.js';
import type { Roster } from './roster.js';

/** Jobs that are taken out together at the most. */
const MOST_OUT = 5;
/** How often jobs are taken out together and put back, each time that a crew's work is stirred. */
const ROUNDS = 200;
/** A stirred sequence may be worth so much less than the one before, as a share; less and less as the rounds go on. */
const SLACK_FRACTION = 0.0015;
/** A crew's work is stirred so often without a gain before it is let be. */
const IDLE_STIRS = 4;
const LEAST_GAIN_FRACTION = 1e-9;

export interface ReinsertWatch {
  /** A stream of numbers 0–1. */
  readonly next: () => number;
  readonly isOver: () => boolean;
}

/**
 * Takes jobs out of a crew's sequence and puts each back where it is worth most, all others moved to suit; jobs that are not planned, or planned
 * elsewhere, stand in every sequence, to be done there if that gains. Ruin and recreate (Schrimpf et al. 2000), priced exactly by `CrewSequence`.
 */
export class Reinsert {
  private readonly sequence: CrewSequence;
  /** By crew and job: options, by start. */
  private readonly options: number[][][];

  constructor(
    private readonly compiled: Compiled,
    private readonly watch: ReinsertWatch,
  ) {
    const { jobCount, crewCount, crew, job } = compiled;
    this.sequence = new CrewSequence(compiled, jobCount);
    this.options = Array.from({ length: crewCount }, () => Array.from({ length: jobCount }, () => []));
    crew.forEach((k, i) => {
      if (k >= 0) this.options[k]![job[i]!]!.push(i);
    });
  }

  /** Betters a roster in place, job by job, until none gains. */
  better(roster: Roster): void {
    for (let gained = true; gained && !this.watch.isOver();) {
      gained = false;
      for (let crew = 0; crew < this.compiled.crewCount; crew += 1)
        if (this.withLine(roster, crew, () => this.pass())) gained = true;
    }
  }

  /** Betters a roster in place by taking several jobs out together, until that gains nothing for a while. */
  stir(roster: Roster): void {
    for (let idle = 0; idle < IDLE_STIRS && !this.watch.isOver(); idle += 1) {
      for (let crew = 0; crew < this.compiled.crewCount; crew += 1)
        if (this.withLine(roster, crew, () => this.stirLine())) idle = -1;
    }
  }

  /** Lays out a crew's sequence, and takes over what was made of it if that is worth more. Answers whether it is. */
  private withLine(roster: Roster, crew: number, better: () => void): boolean {
    const { compiled, sequence } = this;
    const own = roster.lineOf(crew);
    const jobs = this.jobsOf(roster, crew);
    const isOwn = new Set(own.map((i) => compiled.job[i]!));
    sequence.set(own.map((i) => jobs[compiled.job[i]!]!));
    jobs.forEach((job, index) => {
      if (!isOwn.has(index) && job.options.length > 0) sequence.insert(job, sequence.bestInsertion(job).at);
    });
    better();
    const before = roster.value;
    const into = sequence.chosen();
    const elsewhere = into.map((i) => roster.optionOf(compiled.job[i]!)).filter((i) => i >= 0);
    roster.exchange([...new Set([...own, ...elsewhere])], into);
    return roster.value > before * (1 + LEAST_GAIN_FRACTION);
  }

  /** All jobs as a crew can do them, with what the others do left as it is. */
  private jobsOf(roster: Roster, crew: number): SequenceJob[] {
    const { stock, value, stockLeft, jobCount } = this.compiled;
    const own = roster.lineOf(crew);
    const useOf = this.options[crew]!.map((_, job) => stock[roster.optionOf(job)] ?? -1);
    for (const i of own) roster.remove(i);
    // A sequence does not count what it uses of a stock; where that is short, it stays with the jobs that have it.
    const isPlenty = stockLeft.map((_, use) => roster.stockOver(use) >= jobCount);
    const canBe = (i: number, job: number): boolean =>
      roster.hasRoom(i) && (stock[i]! < 0 || isPlenty[stock[i]!]! || stock[i] === useOf[job]);
    const jobs = this.options[crew]!.map((options, job): SequenceJob => {
      const standing = roster.optionOf(job);
      return {
        options: options.filter((i) => canBe(i, job)),
        costs: standing < 0 ? 0 : value[standing]!,
      };
    });
    for (const i of own) roster.add(i);
    return jobs;
  }

  private reinsert(job: SequenceJob): void {
    this.sequence.insert(job, this.sequence.bestInsertion(job).at);
  }

  private pass(): void {
    const { sequence } = this;
    for (const job of sequence.jobs.slice()) {
      if (this.watch.isOver()) return;
      this.reinsert(sequence.remove(sequence.jobs.indexOf(job)));
    }
  }

  private stirLine(): void {
    const { sequence, watch } = this;
    let best = { worth: sequence.worth, jobs: [...sequence.jobs] };
    let current = best;
    for (let round = 0; round < ROUNDS && !watch.isOver(); round += 1) {
      for (const job of this.takeOut()) this.reinsert(job);
      const slack = SLACK_FRACTION * (1 - round / ROUNDS) * watch.next() ** 2;
      if (sequence.worth <= current.worth * (1 - slack)) {
        sequence.set(current.jobs);
        continue;
      }
      current = { worth: sequence.worth, jobs: [...sequence.jobs] };
      if (current.worth > best.worth) best = current;
    }
    sequence.set(best.jobs);
  }

  /** Some jobs that follow on each other, or some from anywhere, in any order. */
  private takeOut(): SequenceJob[] {
    const { sequence } = this;
    const { next } = this.watch;
    const among = (count: number): number => Math.floor(next() * count);
    const count = Math.min(sequence.length, 1 + among(MOST_OUT));
    const from = next() < 0.5 ? among(sequence.length - count + 1) : null;
    const out: SequenceJob[] = [];
    for (let taken = 0; taken < count; taken += 1)
      out.splice(among(out.length + 1), 0, sequence.remove(from ?? among(sequence.length)));
    return out;
  }
}

/** The work was stopped because nobody waits for it any more. */
export class Cancelled extends Error {
  constructor() {
    super('Stopped: nobody waits for the answer any more.');
    this.name = 'Cancelled';
  }
}

/** Too much of one client waits already. */
export class Busy extends Error {
  override readonly name = 'Busy';

  constructor(waiting: number) {
    super(`${waiting} questions of yours are still being answered. Wait for some of them, then ask again.`);
  }
}

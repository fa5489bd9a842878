/** "3:05" of seconds, "−0:12" once it is over, "1:02:03" from an hour on. */
export function clockText(seconds: number): string {
  const whole = Math.ceil(Math.abs(seconds) - 1e-9) * Math.sign(seconds);
  const size = seconds < 0 ? Math.floor(-seconds) : Math.abs(whole);
  const two = (value: number): string => String(value).padStart(2, '0');
  const hours = Math.floor(size / 3600);
  const minutes = Math.floor((size % 3600) / 60);
  const text = hours > 0 ? `${hours}:${two(minutes)}:${two(size % 60)}` : `${minutes}:${two(size % 60)}`;
  return seconds < 0 && size > 0 ? `−${text}` : text;
}

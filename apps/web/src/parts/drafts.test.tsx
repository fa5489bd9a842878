import { beforeEach, describe, expect, it } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { useDraft } from './drafts.js';

interface Form {
  readonly name: string;
  readonly days: number | null;
}
let keys = 0;
let key = '';
beforeEach(() => {
  key = `draft-${(keys += 1)}`;
});

const opened = (initial: Form = { name: 'Old', days: 7 }, record: unknown = { rev: 1 }) =>
  renderHook((props: { initial: Form; record: unknown }) => useDraft(key, props.initial, props.record), {
    initialProps: { initial, record },
  });

describe('a half-typed form', () => {
  it('is the record as it stands until a field is touched, then that field is kept and the others follow', () => {
    const { result, rerender } = opened();
    expect(result.current).toMatchObject({
      value: { name: 'Old', days: 7 },
      isTouched: false,
      read: { rev: 1 },
    });
    act(() => result.current.set({ days: null }));
    rerender({ initial: { name: 'Newer', days: 9 }, record: { rev: 2 } });
    expect(result.current).toMatchObject({
      value: { name: 'Newer', days: null },
      isTouched: true,
      read: { rev: 1 },
    });
  });

  it('outlives the page that it stood on, beside other forms, until it is forgotten', () => {
    const first = opened();
    act(() => first.result.current.set({ name: 'Typed' }));
    first.unmount();
    const other = renderHook(() => useDraft(`${key}-other`, { name: 'Its own', days: 1 }));
    act(() => other.result.current.set({ days: 2 }));
    const again = opened();
    expect(again.result.current.value).toEqual({ name: 'Typed', days: 7 });
    act(() => again.result.current.forget());
    expect(again.result.current).toMatchObject({ value: { name: 'Old', days: 7 }, isTouched: false });
    expect(other.result.current.value).toEqual({ name: 'Its own', days: 2 });
  });

  it('gathers what is touched one after the other', () => {
    const { result } = opened();
    act(() => result.current.set({ name: 'Typed' }));
    act(() => result.current.set({ days: 3 }));
    expect(result.current.value).toEqual({ name: 'Typed', days: 3 });
  });

  it('stands on the newest record when it is put on it, and not before anything was touched', () => {
    const { result, rerender } = opened();
    act(() => result.current.rebase());
    expect(result.current.isTouched).toBe(false);
    act(() => result.current.set({ name: 'Typed' }));
    rerender({ initial: { name: 'Newer', days: 9 }, record: { rev: 2 } });
    expect(result.current.read).toEqual({ rev: 1 });
    act(() => result.current.rebase());
    expect(result.current).toMatchObject({ read: { rev: 2 }, value: { name: 'Typed', days: 9 } });
  });
});

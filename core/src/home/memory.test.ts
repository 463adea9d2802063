import { Memory, Names } from './memory';

describe('a memory', () => {
  it('makes each thing once and gives it again', () => {
    const memory = new Memory<number>(3);
    let made = 0;
    const make = () => ++made;
    expect([memory.recall('a', make), memory.recall('a', make), memory.recall('b', make)]).toEqual([1, 1, 2]);
  });

  it('forgets what was not asked for longest', () => {
    const memory = new Memory<string>(2);
    memory.recall('a', () => 'a');
    memory.recall('b', () => 'b');
    memory.recall('a', () => 'a again');
    memory.recall('c', () => 'c');
    expect(memory.recall('a', () => 'made anew')).toBe('a');
    expect(memory.recall('b', () => 'made anew')).toBe('made anew');
  });
});

describe('names', () => {
  it('are the same for the same key and no other', () => {
    const names = new Names();
    const first = names.of('x'.repeat(500));
    expect(names.of('x'.repeat(500))).toBe(first);
    const all = new Set(Array.from({ length: 6000 }, (_, i) => names.of(`key ${i}`)));
    expect(all.size).toBe(6000);
    expect(first.length).toBeLessThan(12);
  });
});

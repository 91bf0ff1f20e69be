import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Turns, type Turn } from './turns.js';

const never = new AbortController().signal;
const settled = () => new Promise<void>((done) => setImmediate(done));

/** Work that the test ends, with the order in which pieces of it began. */
function office(seats: number) {
  const turns = new Turns(seats);
  const begun: { turn: Turn; end: () => void }[] = [];
  const answers: Promise<string>[] = [];
  const come = (turn: Turn, left: AbortSignal = never) => {
    const work = () => new Promise<string>((done) => begun.push({ turn, end: () => done('done') }));
    const answer = turns
      .run(turn, work, left)
      .catch((error: { problems: { code: string }[] }) => error.problems[0]!.code);
    answers.push(answer);
    return answer;
  };
  return { come, begun, answers };
}

const turnOf = (personId: string, isUrgent = true): Turn => ({
  personId,
  isGuest: personId.startsWith('guest'),
  isUrgent,
});

describe('turns', () => {
  it('keep to the limits whoever comes and whatever ends, and let everything begin that did not come in vain', async () => {
    const act = fc.oneof(
      fc.record({ who: fc.constantFrom('anna', 'ben', 'guest 1', 'guest 2', 'guest 3'), isUrgent: fc.boolean() }),
      fc.record({ ends: fc.nat({ max: 3 }) }),
    );
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 4 }), fc.array(act, { maxLength: 50 }), async (seats, acts) => {
        const { come, begun, answers } = office(seats);
        const ended = new Set<object>();
        const open = () => begun.filter((each) => !ended.has(each));
        const end = async (which: number) => {
          const one = open()[which % Math.max(open().length, 1)];
          if (one === undefined) return;
          ended.add(one);
          one.end();
          await settled();
        };
        for (const each of acts) {
          if ('ends' in each) await end(each.ends);
          else void come(turnOf(each.who, each.isUrgent));
          await settled();
          const counts = new Map<string, number>();
          for (const { turn } of open()) counts.set(turn.personId, (counts.get(turn.personId) ?? 0) + 1);
          for (const [who, count] of counts) expect(count).toBeLessThanOrEqual(who.startsWith('guest') ? 1 : 2);
          expect(open().length).toBeLessThanOrEqual(seats);
          expect(open().filter(({ turn }) => turn.isGuest).length).toBeLessThanOrEqual(Math.max(1, seats - 1));
        }
        for (let guard = 0; open().length > 0 && guard < 100; guard += 1) await end(0);
        const codes = await Promise.all(answers);
        expect(codes.filter((code) => code === 'done')).toHaveLength(begun.length);
        expect(codes.every((code) => ['done', 'busy'].includes(code))).toBe(true);
      }),
      { numRuns: 100 },
    );
  });

  it('let a person begin at once however many documents guests ask for, and refuse a guest who asks for too many', async () => {
    const { come, begun } = office(2);
    const ofGuest = Array.from({ length: 300 }, () => come(turnOf('guest 1', false)));
    void come(turnOf('guest 2', false));
    await settled();
    expect(begun.map(({ turn }) => turn.personId)).toEqual(['guest 1']);
    void come(turnOf('anna'));
    await settled();
    expect(begun.map(({ turn }) => turn.personId)).toEqual(['guest 1', 'anna']);
    begun[0]?.end();
    await settled();
    // The other guest has waited for less long and has had no turn yet.
    expect(begun[2]?.turn.personId).toBe('guest 2');
    expect(await ofGuest[299]).toBe('busy');
  });

  it('let figures go before documents, and leave out who has gone', async () => {
    const { come, begun } = office(1);
    void come(turnOf('anna'));
    const gone = new AbortController();
    const left = come(turnOf('ben'), gone.signal);
    void come(turnOf('cleo', false));
    void come(turnOf('dora'));
    gone.abort();
    expect(await left).toBe('took-too-much');
    begun[0]?.end();
    await settled();
    begun[1]?.end();
    await settled();
    expect(begun.map(({ turn }) => turn.personId)).toEqual(['anna', 'dora', 'cleo']);
  });
});

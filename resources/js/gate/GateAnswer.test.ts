import type { Schemas } from '@/api/client';
import { mountIn } from '@/test/mountIn';
import { describe, expect, it } from 'vitest';
import GateAnswer from './GateAnswer.vue';

const screen = (with_: Partial<Schemas['GateScreen']> = {}): Schemas['GateScreen'] => ({
  machine: { slug: 'm', name: 'Bench drill', in_service: true, service_note: null, permits: ['Drilling'] },
  running: null,
  last_read: null,
  ...with_,
});
const read = (with_: Partial<Schemas['GateAnswer']>): Schemas['GateAnswer'] => ({
  id: 'r',
  event: 'decision',
  person: 'Ada',
  decision: 'no',
  reasons: [],
  missing: [],
  interlock: 'off',
  read_at: '2031-05-02T10:00:00Z',
  ...with_,
});
const word = (props: object) => mountIn(GateAnswer, { screen: screen(), read: null, unreachable: false, ...props });

describe("the gate's answer", () => {
  it.each([
    ['alone', [], 'Alone', 'May run alone.'],
    ['supervised', ['not_signed_off'], 'With supervision', 'Not signed off yet.'],
    ['no', ['held'], 'No', 'The permit is held.'],
    ['no', ['badge_unknown'], 'No', 'This badge is not known here.'],
  ])('says %s for %j in one word and one line', (decision, reasons, said, why) => {
    const answer = word({ read: read({ decision: decision as 'alone', reasons }) });
    expect(answer.find('[data-testid=gate-word]').text()).toBe(said);
    expect(answer.text()).toContain(why);
  });

  it('says what to do next, and what is missing', () => {
    expect(word({ read: read({ reasons: ['held'], missing: ['sign_off'] }) }).text()).toContain('See your instructor');
    expect(
      word({ read: read({ decision: 'supervised', reasons: ['not_signed_off'], missing: ['assessment:PS'] }) }).text(),
    ).toContain('Still needed to run alone: the practical assessment');
  });

  it('has words for every reason that there is', () => {
    const reasons = [
      'machine_out_of_service',
      'person_inactive',
      'badge_unknown',
      'held',
      'outside_hours',
      'not_signed_off',
      'lapsed_expired',
      'lapsed_recency',
      'lapsed_statement',
      'lapsed_prerequisite',
      'outside_scope_material',
      'outside_scope_diameter',
      'outside_scope_operation',
      'companion_absent',
      'supervisor_absent',
      'safety_check_not_passed',
      'no_permit_defined',
    ];
    for (const reason of reasons) expect(word({ read: read({ reasons: [reason] }) }).text()).not.toContain('gate.');
  });

  it('is a no when the server cannot be reached, whatever was there before', () => {
    const answer = word({
      unreachable: true,
      screen: screen({ running: { person: 'Ada', decision: 'alone', since: '2031-05-02T10:00:00Z' } }),
    });
    expect(answer.find('[data-testid=gate-word]').text()).toBe('No');
    expect(answer.find('[data-testid=interlock]').text()).toContain('off');
  });

  it('shows who has the machine, and that it has power', () => {
    const answer = word({
      screen: screen({ running: { person: 'Ada', decision: 'alone', since: '2031-05-02T10:00:00Z' } }),
    });
    expect(answer.text()).toContain('Ada');
    expect(answer.find('[data-testid=interlock]').text()).toContain('interlock on');
  });

  it('waits for a badge otherwise', () =>
    expect(word({}).find('[data-testid=gate-word]').text()).toBe('Badge, please'));
});

import type { Schemas } from '@/api/client';
import { mountIn } from '@/test/mountIn';
import { gateRead as read, gateScreen as screen, running } from '@/test/shapes';
import { describe, expect, it } from 'vitest';
import GateAnswer from './GateAnswer.vue';

const on = (decision = 'alone') => screen({ interlock: 'on', running: running({ decision }) });
const word = (props: object) =>
  mountIn(GateAnswer, { screen: screen(), read: null, ended: null, unreachable: false, waiting: null, ...props });
const said = (page: ReturnType<typeof word>) => page.find('[data-testid=gate-word]').text();
const interlock = (page: ReturnType<typeof word>) => page.find('[data-testid=interlock]').text();

describe("the gate's answer", () => {
  it.each([
    ['alone', [], 'on', 'Alone', 'May run alone.'],
    ['supervised', ['not_signed_off'], 'on', 'With supervision', 'Not signed off yet.'],
    ['no', ['held'], 'off', 'No', 'The permit is held.'],
    ['no', ['badge_unknown'], 'off', 'No', 'This badge is not known here.'],
  ])('says %s for %j in one word and one line', (decision, reasons, power, one, why) => {
    const answer = word({
      screen: power === 'on' ? on(decision) : screen(),
      read: read({ decision: decision as 'alone', reasons, interlock: power as 'on' }),
    });
    expect(said(answer)).toBe(one);
    expect(answer.text()).toContain(why);
    expect(interlock(answer)).toContain(`interlock ${power}`);
  });

  it('says what to do next, and what is missing', () => {
    expect(word({ read: read({ reasons: ['held'], missing: [{ kind: 'sign_off' }] }) }).text()).toContain(
      'See your instructor',
    );
    expect(
      word({
        screen: on('supervised'),
        read: read({
          decision: 'supervised',
          interlock: 'on',
          reasons: ['not_signed_off'],
          missing: [{ kind: 'assessment', what: 'PS' }],
        }),
      }).text(),
    ).toContain('Still needed to run alone: the practical assessment');
  });

  it('shows what the signature covers to whoever runs alone', () => {
    const scopes = [{ materials: ['mild_steel'], max_diameter_mm: 6.5, companion: true }];
    const text = word({ screen: on(), read: read({ decision: 'alone', interlock: 'on', scopes }) }).text();
    for (const words of ['mild steel', 'up to 6.5 mm', 'only with a companion']) expect(text).toContain(words);
  });

  it('has words for every reason that there is', () => {
    const reasons = [
      'machine_out_of_service',
      'person_inactive',
      'badge_unknown',
      'held',
      'outside_hours',
      'at_another_machine',
      'not_signed_off',
      'lapsed_expired',
      'lapsed_recency',
      'lapsed_statement',
      'lapsed_prerequisite',
      'outside_scope_material',
      'outside_scope_diameter',
      'outside_scope_thickness',
      'outside_scope_operation',
      'companion_absent',
      'supervisor_absent',
      'safety_check_not_passed',
      'no_permit_defined',
      'request_unsaid',
    ];
    for (const reason of reasons) expect(word({ read: read({ reasons: [reason] }) }).text()).not.toContain('gate.');
  });

  it('is a no when the server cannot be reached, whatever was there before', () => {
    const answer = word({ unreachable: true, screen: on(), read: read({ decision: 'alone', interlock: 'on' }) });
    expect(said(answer)).toBe('No');
    expect(interlock(answer)).toContain('off');
  });

  it('is a no while an answer is lost, or the reader is slowed', () => {
    expect(said(word({ waiting: 'lost' }))).toBe('No');
    expect(word({ waiting: 'slowed' }).text()).toContain('Too many unknown badges');
  });

  it('says why power was taken away, before the answer that gave it', () => {
    const ended: Schemas['GateScreen']['ended'] = {
      session: 's',
      person: 'Ada',
      because: 'revoked',
      reasons: ['held', 'outside_hours'],
      at: '2031-05-02T10:05:00Z',
    };
    const answer = word({ screen: screen({ ended }), ended, read: read({ decision: 'alone' }) });
    expect(said(answer)).toBe('No');
    expect(answer.text()).toContain('Power was taken away.');
    expect(answer.text()).toContain('The permit is held. · The shop is closed at this hour.');
    expect(interlock(answer)).toContain('off');
    expect(word({ ended: { ...ended, because: 'idle' } }).text()).toContain('nobody showed a badge');
    // A badge that was read after that speaks for itself.
    expect(said(word({ ended, read: read({ event: 'present', read_at: '2031-05-02T10:06:00Z' }) }))).toBe(
      'On the floor',
    );
  });

  it('never says alone for a turn that is over', () => {
    expect(said(word({ read: read({ decision: 'alone', interlock: 'off' }) }))).toBe('Badge, please');
  });

  it('shows who has the machine above another badge, and that it has power', () => {
    const answer = word({ screen: on(), read: read({ event: 'in_use', person: 'Ben', holder: 'Ada' }) });
    expect(said(answer)).toBe('In use');
    expect(answer.find('[data-testid=holder]').text()).toContain('Ada');
    expect(interlock(answer)).toContain('interlock on');
    expect(
      word({ screen: on(), read: read({ person: null, reasons: ['badge_unknown'] }) })
        .find('[data-testid=holder]')
        .text(),
    ).toContain('Ada');
    expect(word({ screen: on() }).find('[data-testid=holder]').exists()).toBe(false);
  });

  it('shows what whoever has the machine said they would make', () => {
    const request = { material: 'mild_steel', operation: 'drill', diameter_mm: 9 };
    const answer = word({ screen: screen({ interlock: 'on', running: running({ request }) }) });
    expect(answer.text()).toContain('Ada');
    expect(answer.text()).toContain('mild steel, drilling, up to 9 mm');
  });

  it('believes the interlock and not the turn', () => {
    expect(interlock(word({ screen: screen({ interlock: 'off', running: running({}) }) }))).toContain('off');
  });

  it('waits for a badge otherwise', () => expect(said(word({}))).toBe('Badge, please'));
});

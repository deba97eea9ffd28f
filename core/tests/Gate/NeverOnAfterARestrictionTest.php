<?php

declare(strict_types=1);

use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\AccessDecision;
use MillStep\Core\Competency\Ledger\Ledger;
use MillStep\Core\Competency\Requirement;
use MillStep\Core\Competency\Standing;
use MillStep\Core\Gate\Intent;
use MillStep\Core\Gate\Meaning;
use MillStep\Core\Gate\Tap;
use MillStep\Core\Gate\Turn;

/**
 * A gate in memory, made of the core's own pieces: one machine, two learners, one instructor. Its clock is wrong by up to
 * a day at every step, reads are repeated and answers get lost, in any order.
 */
final class MadeUpGate
{
    /** @var array<string, list<array<string, mixed>>> the ledger of each learner, in its sequence */
    public array $ledgers = ['ada' => [], 'ben' => []];

    public bool $inService = true;

    public bool $open = true;

    /** @var array<string, bool> */
    public array $active = ['ada' => true, 'ben' => true];

    public bool $supervised = false;

    private ?string $holder = null;

    private ?Turn $turn = null;

    /** @var array<string, array{intent: Intent, person: string|null, turn: Turn|null}> reads that were answered, by id */
    private array $known = [];

    public function __construct(private int $true)
    {
        foreach (array_keys($this->ledgers) as $learner) {
            $this->ledgers[$learner] = [
                ['type' => 'assessment_concluded', 'assessment' => 'A', 'outcome' => 'passed', 'at' => $this->at(-90_000)],
                [
                    'type' => 'signed_off',
                    'statement_version' => 1,
                    'valid_until' => $this->at(40 * 86_400),
                    'scope' => [],
                    'at' => $this->at(-90_000),
                ],
            ];
        }
    }

    public function wait(int $seconds): void
    {
        $this->true += $seconds;
    }

    public function at(int $skew): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $this->true + $skew);
    }

    /** The screen's poll: the one interlock. */
    public function poll(int $skew): bool
    {
        $now = new DateTimeImmutable($this->at($skew));
        if ($this->holder !== null && $this->turn !== null && ! $this->turn->goesOn($this->decide($this->holder, $skew), $now)) {
            $this->holder = $this->turn = null;
        }

        return $this->holder !== null;
    }

    public function holder(): ?string
    {
        return $this->holder;
    }

    /** A read, or one that is sent again under its id: whether its answer says on. */
    public function read(string $id, Intent $intent, ?string $person, int $skew): bool
    {
        $this->poll($skew);
        if (! isset($this->known[$id])) {
            $meaning = (new Tap($intent, $person, $person === 'ida', $this->holder))->meaning();
            $given = null;
            if (in_array($meaning, [Meaning::Finish, Meaning::HandOver, Meaning::EndByInstructor], true)) {
                $this->holder = $this->turn = null;
            } elseif ($meaning === Meaning::Decide && $person !== null) {
                $access = $this->decide($person, $skew);
                if ($access->givesPower()) {
                    $now = new DateTimeImmutable($this->at($skew));
                    $this->turn ??= new Turn($access->decision, $now, $now, 600);
                    $this->holder = $person;
                    $given = $this->turn;
                }
            }
            $this->known[$id] = ['intent' => $intent, 'person' => $person, 'turn' => $given];
        }

        // On only while the very turn that this read began is open.
        return $this->known[$id]['turn'] !== null && $this->known[$id]['turn'] === $this->turn;
    }

    private function decide(string $person, int $skew): MillStep\Core\Competency\Access
    {
        $now = new DateTimeImmutable($this->at($skew));
        $standing = new Standing(
            $now,
            new Requirement([], [], 0, 0, ['A'], [], null, 1, null),
            Ledger::fromFields(Fields::of(['ledger' => $this->ledgers[$person]])),
            [],
        );

        return AccessDecision::fromFields(Fields::of([
            'now' => $this->at($skew), 'badge_known' => true, 'person_active' => $this->active[$person],
            'machine' => ['in_service' => $this->inService], 'hours_open' => $this->open,
            'permits' => [[...$standing->compute()->toArray(), 'scope' => []]],
            'presence' => ['supervisor' => $this->supervised],
            'policy' => [],
        ]))->compute();
    }
}

it('says on to nobody held, gone, outside hours or at a machine out of service, whatever order, repeat, skew or cut', function (): void {
    $random = of_the_day(20_311_125);
    $on = $restrictions = 0;
    for ($history = 0; $history < histories(10_000); $history++) {
        $gate = new MadeUpGate(1_935_000_000);
        $held = ['ada' => false, 'ben' => false];
        $ids = [];
        for ($step = $random->getInt(4, 16); $step > 0; $step--) {
            $gate->wait($random->getInt(0, 900));
            $skew = $random->getInt(0, 1) === 1 ? $random->getInt(-86_400, 86_400) : 0;
            $who = $random->getInt(0, 1) === 1 ? 'ada' : 'ben';
            match ($random->getInt(0, 9)) {
                0 => [$gate->ledgers[$who][] = ['type' => 'incident_hold', 'at' => $gate->at($skew)], $held[$who] = true, $restrictions++],
                1 => [$gate->ledgers[$who][] = ['type' => 'reinstated', 'at' => $gate->at($skew)], $held[$who] = false],
                2 => [$gate->inService = ! $gate->inService, $restrictions++],
                3 => [$gate->active[$who] = ! $gate->active[$who], $restrictions++],
                4 => $gate->open = ! $gate->open,
                5 => $gate->supervised = ! $gate->supervised,
                default => $ids[] = [
                    sprintf('r%d', count($ids)),
                    Intent::cases()[$random->getInt(0, 2)],
                    [$who, $who, 'ida', null][$random->getInt(0, 3)],
                ],
            };
            // Everything that was ever sent may be sent again now; its answer may have got lost before.
            $sent = $ids === [] ? null : $ids[$random->getInt(0, count($ids) - 1)];
            $answers = $sent === null ? [] : [$gate->read($sent[0], $sent[1], $sent[2], $skew)];
            $answers[] = $gate->poll($skew);
            foreach ($answers as $answer) {
                if (! $answer) {
                    continue;
                }
                $on++;
                $holder = $gate->holder();
                expect($holder)->not->toBeNull()->and($held[$holder])->toBeFalse()->and($gate->inService)->toBeTrue()
                    ->and($gate->active[$holder])->toBeTrue()->and($gate->open)->toBeTrue();
            }
        }
    }
    // The histories are no good if nothing ever happens in them.
    expect($on)->toBeGreaterThan(histories(5_000))->and($restrictions)->toBeGreaterThan(histories(10_000));
});

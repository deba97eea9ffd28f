<?php

declare(strict_types=1);

namespace MillStep\Core\Competency;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Fields;

/** The entries about one learner and one permit, in the order in which they were written. */
final readonly class Ledger
{
    private const TYPES = [
        'lesson_completed', 'check_attempted', 'practice_confirmed', 'assessment_concluded', 'statement_acknowledged',
        'signed_off', 'suspended', 'incident_hold', 'revoked', 'reinstated', 'machine_time', 'prior_learning', 'corrected',
    ];

    /** @param  list<array{at: \DateTimeImmutable, type: string, fields: Fields}>  $entries */
    private function __construct(private array $entries)
    {
    }

    /** @throws InvalidInput */
    public static function fromFields(Fields $fields): self
    {
        $entries = array_map(static fn (Fields $entry): array => [
            'at' => $entry->instant('at'),
            'type' => $entry->choice('type', self::TYPES),
            'fields' => $entry,
        ], $fields->objects('ledger'));

        foreach ($entries as $index => $entry) {
            if ($entry['type'] === 'corrected') {
                $corrected = $entry['fields']->integer('entry', 0, max(0, count($entries) - 1));
                if ($corrected === $index) {
                    throw $entry['fields']->fault('entry', 'must name another entry than the correction itself');
                }
            }
        }

        return new self($entries);
    }

    /** @throws InvalidInput when an entry lacks what its type needs */
    public function asOf(\DateTimeImmutable $now): Record
    {
        $lessons = $checks = $assessments = [];
        $count = $minutes = 0;
        $signOff = $lastAtMachine = null;
        $suspended = $revoked = false;
        foreach ($this->counting($now) as ['at' => $at, 'type' => $type, 'fields' => $fields]) {
            switch ($type) {
                case 'lesson_completed':
                    $lessons[$fields->text('lesson')] = true;
                    break;
                case 'check_attempted':
                    $checks[$fields->text('check')] = $fields->flag('passed');
                    break;
                case 'practice_confirmed':
                    $count++;
                    $minutes += $fields->integer('minutes', 0);
                    break;
                case 'assessment_concluded':
                    $assessments[$fields->text('assessment')] = $fields->choice('outcome', array_column(\MillStep\Core\Assessment\Outcome::cases(), 'value'));
                    break;
                case 'signed_off':
                    $signOff = new SignOff($fields->integer('statement_version', 0), $fields->instant('valid_until'));
                    $revoked = false;
                    break;
                case 'suspended':
                case 'incident_hold':
                    $suspended = true;
                    break;
                case 'reinstated':
                    $suspended = false;
                    break;
                case 'revoked':
                    $revoked = true;
                    $signOff = null;
                    break;
            }
            if (in_array($type, ['machine_time', 'practice_confirmed', 'signed_off'], true)) {
                $lastAtMachine = $at;
            }
        }

        return new Record(array_map(strval(...), array_keys($lessons)), $checks, $count, $minutes, $assessments, $signOff, $suspended || $revoked, $lastAtMachine);
    }

    /**
     * The entries up to now that no counting correction names, oldest first.
     *
     * @return list<array{at: \DateTimeImmutable, type: string, fields: Fields}>
     */
    private function counting(\DateTimeImmutable $now): array
    {
        $entries = array_filter($this->entries, static fn (array $entry): bool => $entry['at'] <= $now);
        uasort($entries, static fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        // Latest correction first, so that a corrected correction no longer speaks.
        foreach (array_reverse($entries, true) as $index => $entry) {
            if ($entry['type'] === 'corrected' && isset($entries[$index])) {
                unset($entries[$entry['fields']->integer('entry', 0)]);
            }
        }

        return array_values($entries);
    }
}

<?php

declare(strict_types=1);

namespace MillStep\Core\Competency\Ledger;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Competency\Familiarity;
use MillStep\Core\Competency\Ledger\Entry\Corrected;
use MillStep\Core\Competency\Record;
use MillStep\Core\Competency\Revocation;
use MillStep\Core\Competency\Scope;
use MillStep\Core\Competency\Signature;

/**
 * What a learner's lines for one permit come to up to one of them, so that whoever keeps it need only read the lines
 * after. It never says more than the ledger: where a line after it may change what stands before (a correction), or
 * the clock was put back behind it, it says nothing, and the ledger is read whole.
 */
final readonly class Folded
{
    /** Raised whenever an entry folds otherwise than before: what was kept is then thrown away. */
    public const VERSION = 5;

    private const INSTANT = 'Y-m-d\TH:i:s.u\Z';

    /**
     * @param  string|null  $last  id of the last line in it
     * @param  \DateTimeImmutable|null  $latest  when the latest line in it that gives something happened
     */
    private function __construct(private Fold $fold, public ?string $last, private ?\DateTimeImmutable $latest)
    {
    }

    /** What may be kept of a ledger: its lines up to the first that does not count yet, or that corrects one which is not among them. */
    public static function of(Ledger $ledger, \DateTimeImmutable $now): self
    {
        $settled = [];
        $latest = null;
        foreach ($ledger->lines() as $id => $line) {
            if (! $ledger->counts($line, $now) || ($line->entry instanceof Corrected && ! isset($settled[$line->entry->entry]))) {
                break;
            }
            $settled[$id] = $line;
            // What takes away counts at any time, whatever its date says.
            $latest = $ledger->restricts($line) ? $latest : max($latest ?? $line->at, $line->at);
        }
        $last = array_key_last($settled);

        return new self(Ledger::of($settled)->fold($now), $last === null ? null : (string) $last, $latest);
    }

    /**
     * What the ledger says, with the lines that follow this fold.
     *
     * @param  iterable<Line>  $after  all of them
     * @return Record|null null when only the whole ledger can say
     */
    public function recordWith(iterable $after, \DateTimeImmutable $now): ?Record
    {
        if ($this->latest !== null && $now < $this->latest) {
            return null;
        }
        $fold = clone $this->fold;
        foreach ($after as $line) {
            if ($line->entry instanceof Corrected) {
                return null;
            }
            if ($line->at <= $now || $line->entry->restricts()) {
                $line->entry->foldInto($fold, $line);
            }
        }

        return $fold->record();
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $record = $this->fold->record();
        $signature = $record->signature;

        return [
            'v' => self::VERSION,
            'last' => $this->last,
            'latest' => self::instant($this->latest),
            'lessons' => (object) $record->lessons,
            'checks' => (object) $record->checks,
            'checks_passed_at' => (object) array_map(self::instant(...), $record->checksPassedAt),
            'checks_first_passed_at' => (object) array_map(self::instant(...), $record->checksFirstPassedAt),
            'assessments' => (object) $record->assessments,
            'pieces' => (object) array_map(static fn (array $pieces): object => (object) $pieces, $this->fold->pieces),
            'rehearsals' => array_map(strval(...), array_keys($record->rehearsals)),
            'first_signed_at' => self::instant($record->firstSignedAt),
            'revocations' => array_map(static fn (Revocation $one): array => [
                'at' => self::instant($one->at), 'ended_at' => self::instant($one->endedAt),
            ], $record->revocations),
            'practice_count' => $record->practiceCount,
            'practice_minutes' => $record->practiceMinutes,
            'machine_minutes' => $record->machineMinutes,
            'acknowledged' => $record->acknowledged,
            'signature' => $signature === null ? null : [
                'id' => $signature->id,
                'at' => self::instant($signature->at),
                'statement_version' => $signature->statementVersion,
                'valid_until' => self::instant($signature->validUntil),
                'scope' => (object) $signature->scope->toArray(),
            ],
            'suspended' => $record->suspended,
            'revoked' => $record->revoked,
            'last_at_machine' => self::instant($record->lastAtMachine),
            'machines' => (object) array_map(static fn (Familiarity $one): array => [
                'at' => self::instant($one->at), 'because' => $one->because,
            ], $record->machines),
        ];
    }

    /** @throws InvalidInput when it is not what toArray gives, or of another version */
    public static function fromFields(Fields $fields): self
    {
        $fields->integer('v', self::VERSION, self::VERSION);
        $fold = new Fold;
        $fold->lessons = self::each($fields->objectOrEmpty('lessons'), static fn (Fields $of, string $key): int => $of->integer($key, 0));
        $fold->checks = self::each($fields->objectOrEmpty('checks'), static fn (Fields $of, string $key): bool => $of->flag($key, false));
        $fold->checksPassedAt = self::each(
            $fields->objectOrEmpty('checks_passed_at'),
            static fn (Fields $of, string $key): \DateTimeImmutable => $of->instant($key),
        );
        $fold->checksFirstPassedAt = self::each(
            $fields->objectOrEmpty('checks_first_passed_at'),
            static fn (Fields $of, string $key): \DateTimeImmutable => $of->instant($key),
        );
        $fold->rehearsals = array_fill_keys($fields->texts('rehearsals'), true);
        $fold->firstSignedAt = $fields->has('first_signed_at') ? $fields->instant('first_signed_at') : null;
        $fold->revocations = array_map(
            static fn (Fields $of): Revocation => new Revocation(
                $of->instant('at'),
                $of->has('ended_at') ? $of->instant('ended_at') : null,
            ),
            $fields->objects('revocations'),
        );
        $fold->assessments = self::each(
            $fields->objectOrEmpty('assessments'),
            static fn (Fields $of, string $key): string => $of->text($key),
        );
        $fold->pieces = self::each(
            $fields->objectOrEmpty('pieces'),
            static fn (Fields $of, string $key): array => self::each(
                $of->object($key),
                static fn (Fields $piece, string $name): string => $piece->text($name),
            ),
        );
        $fold->practiceCount = $fields->integer('practice_count', 0);
        $fold->practiceMinutes = $fields->integer('practice_minutes', 0);
        $fold->machineMinutes = $fields->integer('machine_minutes', 0);
        $fold->acknowledged = $fields->has('acknowledged') ? $fields->integer('acknowledged', 0) : null;
        if ($fields->has('signature')) {
            $signature = $fields->object('signature');
            $fold->signature = new Signature(
                $signature->text('id'),
                $signature->instant('at'),
                $signature->integer('statement_version', 0),
                $signature->instant('valid_until'),
                Scope::fromFields($signature->objectOrEmpty('scope')),
            );
        }
        $fold->suspended = $fields->flag('suspended', true);
        $fold->revoked = $fields->flag('revoked', true);
        $fold->lastAtMachine = $fields->has('last_at_machine') ? $fields->instant('last_at_machine') : null;
        $fold->machines = self::each($fields->objectOrEmpty('machines'), static function (Fields $of, string $machine): Familiarity {
            $known = $of->object($machine);

            return new Familiarity($known->instant('at'), $known->choice('because', Familiarity::BECAUSE));
        });

        return new self(
            $fold,
            $fields->has('last') ? $fields->text('last') : null,
            $fields->has('latest') ? $fields->instant('latest') : null,
        );
    }

    private static function instant(?\DateTimeImmutable $at): ?string
    {
        return $at?->setTimezone(new \DateTimeZone('UTC'))->format(self::INSTANT);
    }

    /**
     * @template T
     *
     * @param  callable(Fields, string): T  $read
     * @return array<string, T>
     */
    private static function each(Fields $fields, callable $read): array
    {
        $values = [];
        foreach ($fields->keys() as $key) {
            $values[$key] = $read($fields, $key);
        }

        return $values;
    }
}

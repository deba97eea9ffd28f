<?php

declare(strict_types=1);

namespace App\Records;

use App\Competency\Permit;
use App\People\Cohort;
use App\People\User;
use App\Support\Given;
use App\Workshop\Machine;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Collection;

/** What the numbers in a page of the audit log stand for today: one query for each kind of thing that is named. */
final class AuditNames
{
    /** @var array<string, class-string<Model>> column => what it points at */
    private const COLUMNS = [
        'user_id' => User::class, 'paired_by' => User::class, 'revoked_by' => User::class, 'set_by' => User::class,
        'given_by' => User::class,
        'cohort_id' => Cohort::class, 'machine_id' => Machine::class, 'permit_id' => Permit::class,
    ];

    /** @var array<string, string> source => the column by which its rows are called */
    private const ROWS = [
        'gate_badges' => 'user_id', 'competency_authorisations' => 'user_id', 'competency_supervisors' => 'user_id',
        'people_users' => 'user_id', 'competency_statements' => 'permit_id',
        'competency_machine_permit' => 'machine_id', 'people_memberships' => 'user_id',
    ];

    /** @param  array<class-string<Model>, array<int, string>>  $names */
    private function __construct(private readonly array $names)
    {
    }

    /** @param  Collection<int, AuditLine>  $lines */
    public static function of(Collection $lines): self
    {
        $ids = array_fill_keys(array_values(self::COLUMNS), []);
        foreach ($lines as $line) {
            foreach (self::COLUMNS as $column => $class) {
                array_push($ids[$class], ...self::numbers([$line->before[$column] ?? null, $line->after[$column] ?? null]));
            }
            if (isset(self::ROWS[$line->source])) {
                array_push($ids[self::COLUMNS[self::ROWS[$line->source]]], ...self::numbers([$line->row]));
            }
        }
        $names = [];
        foreach ($ids as $class => $wanted) {
            /** @var array<int, string> $found */
            $found = $wanted === [] ? [] : $class::query()->whereKey(array_unique($wanted))->pluck('name', 'id')->all();
            $names[$class] = $found;
        }

        return new self($names);
    }

    public function row(AuditLine $line): string
    {
        return isset(self::ROWS[$line->source]) ? Given::text($this->name(self::ROWS[$line->source], $line->row)) : $line->row;
    }

    /**
     * @param  array<string, mixed>  $part
     * @return array<string, mixed> the same with names in the place of numbers; what is gone keeps its number
     */
    public function in(array $part): array
    {
        foreach (array_intersect_key($part, self::COLUMNS) as $column => $value) {
            $part[$column] = $this->name($column, $value);
        }

        return $part;
    }

    private function name(string $column, mixed $value): mixed
    {
        return is_numeric($value) ? $this->names[self::COLUMNS[$column]][(int) $value] ?? $value : $value;
    }

    /**
     * @param  list<mixed>  $values
     * @return list<int>
     */
    private static function numbers(array $values): array
    {
        return array_map(intval(...), array_values(array_filter($values, is_numeric(...))));
    }
}

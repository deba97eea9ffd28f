<?php

declare(strict_types=1);

namespace App\People\ClassList;

use App\People\User;
use Carbon\CarbonImmutable;
use MillStep\Core\Border\Message;

/** A class list of our own kind: name, mail, cohort, born, guardian, badge; named in either language, in any order. */
final class ReadClassList
{
    private const COLUMNS = [
        'name' => 'name', 'nombre' => 'name', 'mail' => 'mail', 'email' => 'mail', 'e-mail' => 'mail', 'correo' => 'mail',
        'cohort' => 'cohort', 'class' => 'cohort', 'grupo' => 'cohort', 'born' => 'born', 'nacimiento' => 'born',
        'guardian' => 'guardian', 'tutor' => 'guardian', 'badge' => 'badge', 'tarjeta' => 'badge',
    ];

    /**
     * @param  list<Message>  $faults  what is wrong with the file as a whole is added
     * @return list<Row>
     */
    public function rows(string $text, array &$faults): array
    {
        $file = CsvFile::read($text);
        $columns = array_map(static fn (string $name): ?string => self::COLUMNS[$name] ?? null, $file->header);
        foreach (['name', 'mail'] as $wanted) {
            if (! in_array($wanted, $columns, true)) {
                $faults[] = Message::of('fault.list.no_column', ['column' => $wanted]);
            }
        }
        if ($faults !== []) {
            return [];
        }
        $rows = [];
        foreach ($file->rows() as $line => $said) {
            $given = [];
            foreach ($said as $name => $value) {
                if (isset(self::COLUMNS[$name]) && $value !== '') {
                    $given[self::COLUMNS[$name]] = $value;
                }
            }
            $wrong = [];
            $rows[] = new Row(
                $line,
                (string) preg_replace('/\s+/u', ' ', $given['name'] ?? ''),
                User::address($given['mail'] ?? ''),
                self::names($given['cohort'] ?? ''),
                self::day($given['born'] ?? null, $wrong),
                self::day($given['guardian'] ?? null, $wrong),
                $given['badge'] ?? null,
                faults: $wrong,
            );
        }

        return $rows;
    }

    /** @return list<string> several stand with a | between them */
    private static function names(string $said): array
    {
        return array_values(array_filter(array_map(trim(...), explode('|', $said)), static fn (string $name): bool => $name !== ''));
    }

    /** @param  list<Message>  $faults */
    public static function day(?string $said, array &$faults): ?string
    {
        if ($said === null || $said === '') {
            return null;
        }
        $day = preg_match('/^\d{4}-\d\d-\d\d$/', $said) === 1 ? CarbonImmutable::createFromFormat('!Y-m-d', $said) : null;
        if ($day === null || $day->format('Y-m-d') !== $said || $day->year < 1900 || $day->isFuture()) {
            $faults[] = Message::of('fault.list.no_day', ['given' => Message::quote($said)]);

            return null;
        }

        return $said;
    }
}

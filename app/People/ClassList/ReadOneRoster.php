<?php

declare(strict_types=1);

namespace App\People\ClassList;

use App\People\User;
use MillStep\Core\Border\Message;

/**
 * The students of OneRoster CSV files, 1.1 or 1.2: users.csv with classes.csv and enrollments.csv for whose class they are
 * in, roles.csv where users.csv names no role, demographics.csv for when they were born. Staff are not taken in: who
 * teaches here, and signs, the shop lead says.
 */
final class ReadOneRoster
{
    /**
     * @param  array<string, string>  $files  texts by their names
     * @param  list<Message>  $faults  what is wrong with the files as a whole is added
     * @return list<Row>
     */
    public function rows(array $files, array &$faults): array
    {
        $read = array_map(CsvFile::read(...), array_change_key_case($files));
        $users = $read['users.csv'] ?? null;
        if ($users === null) {
            $faults[] = Message::of('fault.list.no_users_file');

            return [];
        }
        foreach (['sourcedid', 'givenname', 'familyname', 'email'] as $wanted) {
            if (! in_array($wanted, $users->header, true)) {
                $faults[] = Message::of('fault.list.no_column', ['column' => $wanted]);
            }
        }
        if ($faults !== []) {
            return [];
        }
        $classes = $this->each($read['classes.csv'] ?? null, 'sourcedid', 'title');
        $born = $this->each($read['demographics.csv'] ?? null, 'sourcedid', 'birthdate');
        $roles = $this->each($read['roles.csv'] ?? null, 'usersourcedid', 'role');
        $cohorts = [];
        foreach (($read['enrollments.csv'] ?? null)?->rows() ?? [] as $row) {
            $class = $classes[$row['classsourcedid'] ?? ''] ?? '';
            if ($class !== '' && self::stands($row)) {
                $cohorts[$row['usersourcedid'] ?? ''][] = $class;
            }
        }
        $rows = [];
        foreach ($users->rows() as $line => $user) {
            $id = $user['sourcedid'];
            if (! self::stands($user) || mb_strtolower(($user['role'] ?? '') ?: ($roles[$id] ?? 'student')) !== 'student') {
                continue;
            }
            $wrong = [];
            $rows[] = new Row(
                $line,
                trim($user['givenname'].' '.$user['familyname']),
                User::address($user['email']),
                array_values(array_unique($cohorts[$id] ?? [])),
                ReadClassList::day($born[$id] ?? null, $wrong),
                sisId: $id === '' ? null : mb_substr($id, 0, 80),
                faults: $wrong,
            );
        }

        return $rows;
    }

    /** @return array<string, string> */
    private function each(?CsvFile $file, string $key, string $value): array
    {
        $all = [];
        foreach ($file?->rows() ?? [] as $row) {
            if (self::stands($row)) {
                $all[$row[$key] ?? ''] = $row[$value] ?? '';
            }
        }

        return $all;
    }

    /** @param  array<string, string>  $row */
    private static function stands(array $row): bool
    {
        return mb_strtolower($row['status'] ?? '') !== 'tobedeleted';
    }
}

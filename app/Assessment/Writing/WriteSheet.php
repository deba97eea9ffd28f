<?php

declare(strict_types=1);

namespace App\Assessment\Writing;

use App\Assessment\PublishSheet;
use App\Assessment\Sheet;
use App\People\User;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\Refusal;
use App\Support\SameContent;
use App\Support\YamlText;
use Illuminate\Support\Facades\DB;

/**
 * Publishes what was changed in the browser as a sheet's next version. Assessments that are open keep theirs. Sent twice, it is one.
 *
 * @phpstan-type Written array{title: string, pass_mark_percent: int, criteria: list<array<string, mixed>>,
 *     translations: array<string, array<string, mixed>>, change: string}
 */
final class WriteSheet
{
    public function __construct(private readonly PublishSheet $publish)
    {
    }

    /**
     * @param  Written  $written
     * @param  int  $basedOn  the version that it was written from
     *
     * @throws FaultyContent with every fault, and in which line of the file
     * @throws Refusal `sheet_moved_on` when somebody published meanwhile
     */
    public function __invoke(string $code, array $written, int $basedOn, User $by): Sheet
    {
        return DB::transaction(function () use ($code, $written, $basedOn, $by): Sheet {
            DB::select('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', ["sheet:$code"]);
            $latest = Sheet::current($code);
            $values = self::values($latest, $written, $basedOn + 1);
            if ($latest->version === $basedOn + 1 && SameContent::is(self::said(SheetFile::values($latest)), self::said($values))) {
                return $latest;
            }
            if ($latest->version !== $basedOn) {
                throw Refusal::because('sheet_moved_on', ['version' => $latest->version]);
            }
            $translations = [];
            foreach ($written['translations'] as $language => $said) {
                $translations[$language] = YamlText::read("locales/$language/sheets/$code.yaml", SheetFile::text([
                    ...Given::fields($latest->translations[$language] ?? null), ...$said,
                ]));
            }

            return ($this->publish)(YamlText::read("sheets/$code.yaml", SheetFile::text($values)), $translations, $by, true);
        });
    }

    /**
     * @param  Written  $written
     * @return array<string, mixed>
     */
    public static function values(Sheet $latest, array $written, int $version): array
    {
        return [
            ...SheetFile::values($latest), 'version' => $version, 'title' => $written['title'],
            'pass_mark_percent' => $written['pass_mark_percent'], 'criteria' => $written['criteria'], 'change' => $written['change'],
        ];
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed>
     */
    private static function said(array $values): array
    {
        return array_diff_key($values, ['change' => 0]);
    }
}

<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Learning\Lesson;
use App\People\User;
use App\Policy\ShopNow;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\SameContent;
use App\Support\YamlText;
use App\Workshop\MaterialRow;
use App\Workshop\Part;
use MillStep\Core\Assessment\CriticalLinesAlone;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Assessment\Outcome;
use MillStep\Core\Assessment\Personal;
use MillStep\Core\Assessment\Task;
use MillStep\Core\Assessment\Variant;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Competency\Ledger\Entry\Shown;
use MillStep\Core\Competency\ShownWork;
use MillStep\Core\Workshop\MachineSpec;

/** A version of a practical sheet, out of its file and what it is in other languages. */
final class PublishSheet
{
    /** Characters of a reason that says something. */
    private const LEAST_REASON = 3;

    public function __construct(private readonly ShopNow $shop)
    {
    }

    /**
     * @param  array<string, YamlText>  $translations  by language
     * @param  bool  $own  written in this shop
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function __invoke(YamlText $file, array $translations = [], ?User $by = null, bool $own = false): Sheet
    {
        $values = $file->values;
        $faults = [];
        foreach (['code', 'title', 'part', 'machine'] as $key) {
            if (! is_string($values[$key] ?? null)) {
                $faults[] = ContentFault::at($file->file, $file->lineOf($key), 'wanted_text', ['key' => $key]);
            }
        }
        foreach (['version', 'pass_mark_percent'] as $key) {
            if (! is_int($values[$key] ?? null)) {
                $faults[] = ContentFault::at($file->file, $file->lineOf($key), 'wanted_number', ['key' => $key]);
            }
        }
        $part = Part::query()->where('slug', Given::text($values['part'] ?? null))->first();
        if ($part === null) {
            $faults[] = ContentFault::at($file->file, $file->lineOf('part'), 'no_part', ['part' => Given::text($values['part'] ?? null)]);
        }
        $criteria = Given::rows($values['criteria'] ?? null);
        foreach ($criteria as $criterion) {
            if (isset($criterion['hole']) && $part !== null && ! $part->hasHole(Given::text($criterion['hole']))) {
                $faults[] = ContentFault::at(
                    $file->file,
                    $file->lineOfEntry('criteria', Given::text($criterion['id'] ?? null)),
                    'no_hole',
                    ['part' => $part->slug, 'hole' => Given::text($criterion['hole'])],
                );
            }
        }
        array_push(
            $faults,
            ...$this->unreadable($file, $criteria, $part),
            ...self::unknownLessons($file, $criteria),
            ...self::unreadablePieces($file, $criteria),
            ...self::unfinishedLines($file, $criteria),
        );
        foreach ($translations as $said) {
            foreach (['criteria', 'dimensions', 'tasks'] as $list) {
                $ours = Given::texts(array_column(Given::rows($values[$list] ?? null), 'id'));
                foreach (array_diff($ours, array_keys(Given::fields($said->values[$list] ?? null))) as $id) {
                    $faults[] = ContentFault::at($said->file, $said->lineOf($list), 'untranslated', ['id' => $id]);
                }
            }
            array_push($faults, ...self::saidInPart($values, $said));
        }
        FaultyContent::unless($faults);
        $row = [
            'code' => $values['code'], 'version' => $values['version'], 'title' => $values['title'], 'part_id' => $part?->id,
            'machine_kind' => $values['machine'], 'pass_mark_percent' => $values['pass_mark_percent'], 'criteria' => $criteria,
            'dimensions' => Given::rows($values['dimensions'] ?? null), 'tasks' => Given::rows($values['tasks'] ?? null),
            'variants' => Given::rows($values['variants'] ?? null),
            'translations' => array_map(static fn (YamlText $said): array => array_intersect_key(
                $said->values,
                ['title' => 0, 'criteria' => 0, 'dimensions' => 0, 'tasks' => 0, 'variants' => 0],
            ), $translations),
        ];
        $gates = $this->gates($values['gates'] ?? null, $criteria);
        $known = Sheet::query()->where('code', $row['code'])->where('version', $row['version'])->first();
        if ($known === null) {
            return Sheet::query()->create([
                ...$row, 'gates' => $gates, 'own' => $own, 'published_by' => $by?->id,
                'change_note' => Given::text($values['change'] ?? null) ?: null,
            ]);
        }
        $stored = [
            ...array_map(static fn (string $column): mixed => json_decode(Given::text($known->getRawOriginal($column)), true),
                ['criteria', 'dimensions', 'tasks', 'variants']),
            $known->pass_mark_percent, $known->part_id,
        ];
        $given = [$criteria, $row['dimensions'], $row['tasks'], $row['variants'], $row['pass_mark_percent'], $row['part_id']];
        FaultyContent::unless(SameContent::is($stored, $given) ? [] : [
            ContentFault::at($file->file, $file->lineOf('version'), 'version_taken',
                ['code' => Given::text($row['code']), 'version' => Given::whole($row['version'])]),
        ]);
        $known->update(['translations' => $row['translations']]);

        return $known;
    }

    /**
     * What the file asks for beside the pass mark; else what the shop's policy does.
     *
     * @param  list<array<string, mixed>>  $criteria
     * @return array<string, mixed>
     */
    private function gates(mixed $given, array $criteria): array
    {
        $safety = array_filter($criteria, static fn (array $one): bool => ($one['group'] ?? '') === 'safety');
        $seen = array_filter($criteria, static fn (array $one): bool => ($one['kind'] ?? '') !== 'measured');
        $policy = $this->shop->policy()->gates(count($safety));

        return array_diff_key(
            [...$policy, ...array_intersect_key(Given::fields($given), $policy)],
            $seen === [] ? ['observed_pass_percent' => 0] : [],
        );
    }

    /**
     * A sheet that cannot be scored, measured or drawn is none.
     *
     * @param  list<array<string, mixed>>  $criteria
     * @return list<ContentFault>
     */
    private function unreadable(YamlText $file, array $criteria, ?Part $part): array
    {
        $faults = [];
        $saying = static fn (string $list, string $id, CoreException $fault): ContentFault => ContentFault::saying(
            $file->file,
            $file->lineOfEntry($list, $id),
            $fault->says,
        );
        try {
            $score = CriticalLinesAlone::score(Sheet::asked(
                $criteria,
                $file->values['pass_mark_percent'] ?? 0,
                $this->gates($file->values['gates'] ?? null, $criteria),
            ));
            if ($score->outcome === Outcome::Passed) {
                $faults[] = ContentFault::at($file->file, $file->lineOf('criteria'), 'nobody_fails', ['score' => $score->scorePercent]);
            }
        } catch (CoreException $fault) {
            $named = preg_match('/criteria\[(\d+)\]/', Given::text($fault->says->terms['key'] ?? null), $found) === 1
                ? Given::text($criteria[(int) $found[1]]['id'] ?? null) : '';
            $faults[] = $saying('criteria', $named, $fault);
        }
        $personal = [];
        try {
            $personal = Personal::of(array_map(Fields::of(...), Given::rows($file->values['dimensions'] ?? null)))->draw(1);
        } catch (CoreException $fault) {
            $faults[] = $saying('dimensions', '', $fault);
        }
        foreach ($criteria as $criterion) {
            if (($criterion['kind'] ?? '') !== 'measured') {
                continue;
            }
            $hole = Given::text($criterion['hole'] ?? null);
            if ($hole !== '' && $part?->hasHole($hole) !== true) {
                continue;
            }
            try {
                WaysOfMeasuring::of(Fields::of([
                    ...($part !== null && $hole !== '' ? $part->hole($hole) : []), ...$criterion,
                ]), $personal);
            } catch (CoreException $fault) {
                $faults[] = $saying('criteria', Given::text($criterion['id'] ?? null), $fault);
            }
        }
        foreach (Given::rows($file->values['tasks'] ?? null) as $task) {
            try {
                Task::fromFields(Fields::of($task))->key($personal);
            } catch (CoreException $fault) {
                $faults[] = $saying('tasks', Given::text($task['id'] ?? null), $fault);
            }
        }

        return $faults;
    }

    /**
     * What is said for some machines or pieces, or asked after an answer, is said in each language, or nobody there can assess by it.
     *
     * @param  array<string, mixed>  $values
     * @return list<ContentFault>
     */
    private static function saidInPart(array $values, YamlText $said): array
    {
        $faults = [];
        $lines = Given::fields($said->values['criteria'] ?? null);
        $untranslated = static fn (string $list, string $id): ContentFault => ContentFault::at(
            $said->file, $said->lineOf($list), 'untranslated', ['id' => $id],
        );
        foreach (Given::rows($values['criteria'] ?? null) as $line) {
            $id = Given::text($line['id'] ?? null);
            $other = Given::fields($lines[$id] ?? null);
            foreach (['levels_for', 'follow_ups'] as $key) {
                foreach (array_diff_key(Given::fields($line[$key] ?? null), Given::fields($other[$key] ?? null)) as $part => $_) {
                    $faults[] = $untranslated('criteria', "$id.$key.$part");
                }
            }
        }
        foreach (Given::rows($values['variants'] ?? null) as $piece) {
            $key = Given::text($piece['key'] ?? null);
            $other = Given::fields(Given::fields(Given::fields($said->values['variants'] ?? null)[$key] ?? null)['replaces'] ?? null);
            foreach (Given::fields($piece['replaces'] ?? null) as $id => $with) {
                $words = array_intersect_key(Given::fields($with), ['text' => 0, 'levels' => 0]);
                foreach (array_diff_key($words, Given::fields($other[$id] ?? null)) as $part => $_) {
                    $faults[] = $untranslated('variants', "$key.$id.$part");
                }
            }
        }

        return $faults;
    }

    /**
     * Levels for a machine name a way of setting its speed that there is, and every verdict; a measured line that nobody must get right
     * says why not.
     *
     * @param  list<array<string, mixed>>  $criteria
     * @return list<ContentFault>
     */
    private static function unfinishedLines(YamlText $file, array $criteria): array
    {
        $faults = [];
        foreach ($criteria as $line) {
            $id = Given::text($line['id'] ?? null);
            $at = $file->lineOfEntry('criteria', $id);
            foreach (Given::fields($line['levels_for'] ?? null) as $change => $levels) {
                if (! in_array($change, MachineSpec::SPEED_CHANGES, true)
                    || array_diff_key(Given::fields($line['levels'] ?? null), Given::fields($levels)) !== []) {
                    $faults[] = ContentFault::at(
                        $file->file, $at, 'levels_for', ['id' => $id, 'for' => $change, 'may' => MachineSpec::SPEED_CHANGES],
                    );
                }
            }
            foreach (array_diff(Given::texts($line['places'] ?? null), Shown::WHAT) as $place) {
                $faults[] = ContentFault::at($file->file, $at, 'no_place', ['place' => $place, 'may' => Shown::WHAT]);
            }
            if (($line['kind'] ?? '') === 'measured' && ($line['critical'] ?? false) !== true
                && mb_strlen(trim(Given::text($line['not_critical_because'] ?? null))) < self::LEAST_REASON) {
                $faults[] = ContentFault::at($file->file, $at, 'measured_not_critical', ['id' => $id]);
            }
        }

        return $faults;
    }

    /**
     * A piece has a material that there is, and says something else only of lines that there are; what a line shows is readable.
     *
     * @param  list<array<string, mixed>>  $criteria
     * @return list<ContentFault>
     */
    private static function unreadablePieces(YamlText $file, array $criteria): array
    {
        $faults = [];
        $saying = static fn (string $list, string $id, CoreException $fault): ContentFault => ContentFault::saying(
            $file->file, $file->lineOfEntry($list, $id), $fault->says,
        );
        $materials = array_keys(MaterialRow::everything());
        $ids = Given::texts(array_column($criteria, 'id'));
        foreach (Given::rows($file->values['variants'] ?? null) as $row) {
            $key = Given::text($row['key'] ?? null);
            try {
                $variant = Variant::fromRow($row);
                if (! in_array($variant->material, $materials, true)) {
                    $faults[] = ContentFault::at($file->file, $file->lineOf('variants'), 'no_material', ['material' => $variant->material]);
                }
                foreach (array_diff($variant->lines(), $ids) as $line) {
                    $faults[] = ContentFault::at($file->file, $file->lineOf('variants'), 'no_line', ['line' => $line, 'variant' => $key]);
                }
            } catch (CoreException $fault) {
                $faults[] = ContentFault::saying($file->file, $file->lineOf('variants'), $fault->says);
            }
        }
        foreach ($criteria as $criterion) {
            try {
                isset($criterion['shows']) && ShownWork::fromRows([['materials' => [], ...Given::fields($criterion['shows'])]]);
            } catch (CoreException $fault) {
                $faults[] = $saying('criteria', Given::text($criterion['id'] ?? null), $fault);
            }
        }

        return $faults;
    }

    /**
     * What is to be practised is a lesson that there is.
     *
     * @param  list<array<string, mixed>>  $criteria
     * @return list<ContentFault>
     */
    private static function unknownLessons(YamlText $file, array $criteria): array
    {
        $named = Given::texts(array_column($criteria, 'lesson', 'id'));
        $unknown = array_diff($named, Given::texts(Lesson::query()->whereIn('code', $named)->pluck('code')->all()));

        return array_map(static fn (string $lesson): ContentFault => ContentFault::at(
            $file->file,
            $file->lineOfEntry('criteria', Given::text(array_search($lesson, array_column($criteria, 'lesson', 'id'), true))),
            'no_lesson',
            ['lesson' => $lesson],
        ), array_values(array_unique($unknown)));
    }
}

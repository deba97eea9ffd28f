<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use App\Support\SameContent;
use App\Support\YamlText;
use App\Workshop\Part;
use MillStep\Core\Assessment\ScoreAssessment;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;

/** A version of a practical sheet, out of its file and what it is in other languages. */
final class PublishSheet
{
    /**
     * @param  array<string, YamlText>  $translations  by language
     *
     * @throws FaultyContent with every fault, its file and line
     */
    public function __invoke(YamlText $file, array $translations = []): Sheet
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
        try {
            // A sheet that cannot be scored is none.
            ScoreAssessment::fromFields(Fields::of([
                'criteria' => array_map(static fn (array $criterion): array => [
                    'result' => 'not_seen', 'lower_mm' => 0, 'upper_mm' => 1, 'uncertainty_mm' => 0, ...$criterion,
                ], $criteria),
                'pass_mark_percent' => $values['pass_mark_percent'] ?? 0,
            ]));
        } catch (CoreException $fault) {
            $named = preg_match('/criteria\[(\d+)\]/', Given::text($fault->says->terms['key'] ?? null), $found) === 1
                ? Given::text($criteria[(int) $found[1]]['id'] ?? null) : '';
            $faults[] = ContentFault::saying($file->file, $file->lineOfEntry('criteria', $named), $fault->says);
        }
        foreach ($translations as $said) {
            $theirs = is_array($said->values['criteria'] ?? null) ? $said->values['criteria'] : [];
            foreach (array_diff(Given::texts(array_column($criteria, 'id')), array_keys($theirs)) as $id) {
                $faults[] = ContentFault::at($said->file, $said->lineOf('criteria'), 'untranslated', ['id' => $id]);
            }
        }
        FaultyContent::unless($faults);
        $row = [
            'code' => $values['code'], 'version' => $values['version'], 'title' => $values['title'], 'part_id' => $part?->id,
            'machine_kind' => $values['machine'], 'pass_mark_percent' => $values['pass_mark_percent'], 'criteria' => $criteria,
            'translations' => array_map(static fn (YamlText $said): array => array_intersect_key(
                $said->values,
                ['title' => 0, 'criteria' => 0],
            ), $translations),
        ];
        $known = Sheet::query()->where('code', $row['code'])->where('version', $row['version'])->first();
        if ($known === null) {
            return Sheet::query()->create($row);
        }
        $stored = [json_decode(Given::text($known->getRawOriginal('criteria')), true), $known->pass_mark_percent, $known->part_id];
        FaultyContent::unless(SameContent::is($stored, [$criteria, $row['pass_mark_percent'], $row['part_id']]) ? [] : [
            ContentFault::at($file->file, $file->lineOf('version'), 'version_taken',
                ['code' => Given::text($row['code']), 'version' => Given::whole($row['version'])]),
        ]);
        $known->update(['translations' => $row['translations']]);

        return $known;
    }
}

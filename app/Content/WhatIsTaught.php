<?php

declare(strict_types=1);

namespace App\Content;

use App\Assessment\Sheet;
use App\Competency\Taught;
use App\Learning\Check;
use App\Learning\Lesson;
use App\Support\Given;
use Illuminate\Database\Eloquent\Builder;

/** The lessons, checks and sheets that were taken in. */
final class WhatIsTaught implements Taught
{
    public function acceptedVersions(): array
    {
        /** @var array<string, int> */
        return Lesson::query()->orderBy('version')->pluck('accepted_from', 'code')->all();
    }

    public function codes(): array
    {
        return [
            'lessons' => self::codesOf(Lesson::query()->whereNull('retired_at')),
            'checks' => self::codesOf(Check::query()),
            'assessments' => self::codesOf(Sheet::query()),
        ];
    }

    public function titles(): array
    {
        return [
            'lessons' => self::each(Lesson::query()->whereNull('retired_at')),
            'checks' => self::each(Check::query()),
            'assessments' => self::each(Sheet::query()),
        ];
    }

    public function shows(array $sheets): array
    {
        $latest = Sheet::query()->with('part')->whereIn('code', $sheets)->orderBy('version')->get()->keyBy('code');

        $shows = [];
        foreach ($latest as $sheet) {
            $shows[$sheet->code] = $sheet->shows(null);
        }

        return $shows;
    }

    /**
     * @param  Builder<covariant Lesson|Check|Sheet>  $all
     * @return list<string>
     */
    private static function codesOf(Builder $all): array
    {
        return Given::texts($all->distinct()->pluck('code')->all());
    }

    /**
     * @template TModel of Lesson|Check|Sheet
     *
     * @param  Builder<TModel>  $all
     * @return list<array{code: string, title: string}>
     */
    private static function each(Builder $all): array
    {
        return array_values($all->orderBy('code')->orderByDesc('version')->get(['code', 'version', 'title', 'translations'])->unique('code')
            ->map(static fn (Lesson|Check|Sheet $one): array => ['code' => $one->code, 'title' => $one->title])->all());
    }
}

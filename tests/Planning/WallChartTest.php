<?php

declare(strict_types=1);

use App\Language\Sentences;
use App\Planning\Wall\ChartPages;
use App\Planning\Wall\Imprint;
use App\Planning\Wall\Lettering;
use App\Planning\Wall\Paper;
use App\Planning\Wall\WallChart;
use App\Policy\Policy;
use App\Workshop\Tool;
use MillStep\Core\Planning\Chart\ChartKind;

beforeEach(fn () => $this->actingAs($this->person()));

it('shows every chart, as sheets too, in both languages', function (string $kind): void {
    $chart = $this->getJson("/api/planning/charts/$kind?machine=bench-drill")->assertOk();
    expect($chart->json('lines'))->not->toBe([])->and($chart->json('date'))->toBe(now()->format('Y-m-d'));
    foreach (['en', 'es'] as $language) {
        foreach ($chart->json('sheets') as ['paper' => $paper, 'count' => $count]) {
            $path = "?machine=bench-drill&paper=$paper&language=$language";
            $svg = $this->get("/api/planning/charts/$kind/svg$path&sheet=$count")->assertOk()->getContent();
            expect(simplexml_load_string($svg))->not->toBeFalse();
            $this->get("/api/planning/charts/$kind/svg$path&sheet=".($count + 1))->assertNotFound();
        }
        $pdf = $this->get("/api/planning/charts/$kind/pdf?machine=bench-drill&paper=letter&language=$language")->assertOk()->getContent();
        $letter = array_column($chart->json('sheets'), 'count', 'paper')['letter'];
        expect($pdf)->toStartWith('%PDF-')->and(preg_match_all('~/Type /Page\b(?!s)~', $pdf))->toBe($letter);
    }
})->with(array_column(ChartKind::cases(), 'value'));

it('keeps everything on the sheet, its figures readable from two metres, no two words over each other', function (string $kind): void {
    $wall = WallChart::of(ChartKind::from($kind), ['machine' => 'bench-drill']);
    $wanted = array_merge(...array_map(static fn ($line): array => $line->cells, $wall->chart->lines));
    $off = $over = $lost = [];
    foreach ([['en', 'mm'], ['es', 'mm'], ['es', 'in']] as [$language, $units]) {
        $says = Sentences::in($language, $units);
        foreach (Paper::cases() as $paper) {
            $all = '';
            foreach (ChartPages::of($wall->chart, $says, $wall->imprint(), $paper) as $sheet) {
                $boxes = [];
                foreach ($sheet->words as ['x' => $x, 'y' => $y, 'size' => $size, 'bold' => $bold, 'words' => $words]) {
                    $right = $x + Lettering::width($words, $size, $bold);
                    if ($x < 9.9 || $right > $sheet->width - 9.9 || $y < 9.9 || $y > $sheet->height - 9.9) {
                        $off[] = $words;
                    }
                    foreach ($boxes as $other) {
                        if ($x < $other[1] - 0.1 && $right > $other[0] + 0.1 && abs($y - $other[2]) < 0.9 * min($size, $other[3])) {
                            $over[] = $words;
                        }
                    }
                    $boxes[] = [$x, $right, $y, $size];
                    $all .= " $words";
                }
            }
            foreach ($wanted as $cell) {
                array_push($lost, ...array_filter(
                    preg_split('/ +/', $says->say($cell)),
                    static fn (string $word): bool => ! str_contains($all, $word),
                ));
            }
        }
    }
    expect($off)->toBe([])->and($over)->toBe([])->and($lost)->toBe([]);
})->with(array_column(ChartKind::cases(), 'value'));

it('sets its figures at least six millimetres high', function (): void {
    $wall = WallChart::of(ChartKind::Sizes, ['machine' => 'bench-drill']);
    foreach (Paper::cases() as $paper) {
        foreach (ChartPages::of($wall->chart, Sentences::in('en'), new Imprint('Shop', '2026-01-01', 'http://shop'), $paper) as $sheet) {
            foreach ($sheet->words as $words) {
                // A drill's size; not the heading, not the sheet's number.
                if (preg_match('/^\d+\.\d{3}$/', $words['words']) === 1) {
                    expect($words['size'] * 0.73)->toBeGreaterThanOrEqual(6.0);
                }
            }
        }
    }
});

it('follows the crib and the policy at once', function (): void {
    $drill = static fn ($answer): string => array_column(array_column($answer->json('lines'), 'cells'), 1, 0)['M8'];
    $path = '/api/planning/charts/seats?machine=bench-drill';
    expect($drill($this->getJson($path)))->toBe('9');
    Tool::query()->where('kind', 'drill')->where('designation', '9')->update(['condition' => 'regrind']);
    expect($drill($this->getJson($path)))->not->toBe('9');
    Policy::query()->create(['settings' => ['clearance_fit' => 'loose'], 'in_force_from' => now()]);
    expect($drill($this->getJson($path)))->toBe('10');
});

it('refuses what is none, and shows nothing to a stranger', function (): void {
    $this->getJson('/api/planning/charts/weather?machine=bench-drill')->assertNotFound();
    $this->getJson('/api/planning/charts/speeds')->assertUnprocessable()->assertJsonValidationErrorFor('machine');
    $this->getJson('/api/planning/charts/speeds?machine=none')->assertUnprocessable()->assertJsonValidationErrorFor('machine');
    $this->getJson('/api/planning/charts/chips?machine=bench-drill&material=cheese')->assertUnprocessable();
    $this->getJson('/api/planning/charts/speeds/svg?machine=bench-drill&paper=a9')->assertUnprocessable();
    $this->getJson('/api/planning/charts/speeds/docx?machine=bench-drill')->assertNotFound();
    $this->app['auth']->forgetGuards();
    $this->getJson('/api/planning/charts/speeds?machine=bench-drill')->assertUnauthorized();
    $this->getJson('/api/planning/charts/speeds/pdf?machine=bench-drill')->assertUnauthorized();
});

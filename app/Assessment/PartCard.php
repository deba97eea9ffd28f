<?php

declare(strict_types=1);

namespace App\Assessment;

use App\Planning\Attachment;
use App\Support\QrSquare;
use Illuminate\Support\Facades\Config;
use MillStep\Core\Assessment\Measuring\WaysOfMeasuring;
use MillStep\Core\Assessment\PartVerdict;

/** A part's own card: who made it, after which plan, what was measured on it, and whether it fits. */
final readonly class PartCard
{
    public function __construct(private Scoring $scoring)
    {
    }

    /** @return array<string, mixed> */
    public function of(SheetAttempt $attempt): array
    {
        $measured = array_values(array_filter($attempt->criteria(), static fn (array $one): bool => $one['kind'] === 'measured'));
        $found = array_map(fn (array $criterion) => $this->scoring->found($attempt, $criterion), $measured);

        return [
            'code' => $attempt->part_code,
            'part' => $attempt->sheet->part->name,
            'stock' => $attempt->sheet->part->stock,
            'sheet' => ['title' => $attempt->sheet->title, 'version' => $attempt->sheet->version],
            'attempt' => $attempt->id,
            'maker' => $attempt->learner->name,
            'assessor' => $attempt->assessor->name,
            'concluded_at' => $attempt->concluded_at?->toIso8601ZuluString(),
            'outcome' => $attempt->outcome,
            'verdict' => PartVerdict::of($found, array_column($measured, 'allowance_mm') !== [])->value,
            'plans' => Attachment::plansOf('sheet', $attempt->sheet->code),
            'dimensions' => array_map(static fn (array $dimension): array => [
                'name' => $dimension['name'], 'mm' => $attempt->personal()[$dimension['id']]->inMm(),
            ], $attempt->sheet->dimensions),
            'lines' => array_map(fn (array $criterion, int $index): array => [
                'id' => $criterion['id'],
                'text' => $criterion['text'],
                'wants' => (object) $this->scoring->wanted($attempt, $criterion)->limits(),
                'asks' => WaysOfMeasuring::asks($criterion['measure'] ?? ''),
                'found' => $found[$index]?->toArray(),
                'learner_mm' => $this->scoring->found($attempt, $criterion, Seat::Learner)?->value?->inMm(),
            ], $measured, array_keys($measured)),
            'square' => QrSquare::of(rtrim(Config::string('app.url'), '/').'/parts/'.$attempt->part_code),
        ];
    }
}

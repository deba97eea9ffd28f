<?php

declare(strict_types=1);

namespace App\Measure;

use App\Language\Speech;
use MillStep\Core\Border\CoreException;
use MillStep\Core\Measure\FittedSize;
use MillStep\Core\Measure\Limits;
use MillStep\Core\Measure\Size;
use MillStep\Core\Reference\ThreadTable;

/** What a field understood, or why nothing: the same judges that read it when it is sent. */
final readonly class Understand
{
    /** What a field may ask for: a drill's size, a length of any stock, a hole with its limits, a thread. */
    public const KINDS = ['size', 'length', 'hole', 'thread'];

    /** @param  'mm'|'in'  $units  of a length that names none */
    public function __construct(private string $units)
    {
    }

    /**
     * @param  'size'|'length'|'hole'|'thread'  $kind
     * @return array<string, mixed> what was understood, or `fault`
     */
    public function text(string $text, string $kind): array
    {
        try {
            return match ($kind) {
                'size' => self::size(Size::parse($text, $this->units)),
                'length' => self::size(Size::length($text, $this->units)),
                'hole' => self::hole(FittedSize::parse($text, $this->units)),
                'thread' => self::thread($text),
            };
        } catch (CoreException $fault) {
            return ['fault' => Speech::say($fault->says)];
        }
    }

    /** @return array<string, mixed> */
    private static function size(Size $size): array
    {
        return ['diameter_mm' => $size->diameter->inMm(), 'system' => $size->system->value, 'designation' => $size->designation];
    }

    /** @return array<string, mixed> */
    private static function hole(FittedSize $hole): array
    {
        return [
            ...self::size($hole->size),
            ...($hole->limits instanceof Limits
                ? ['fit' => $hole->fit, 'lower_mm' => $hole->limits->lower->inMm(), 'upper_mm' => $hole->limits->upper->inMm()]
                : []),
        ];
    }

    /** @return array<string, mixed> */
    private static function thread(string $text): array
    {
        $thread = ThreadTable::shipped()->get($text, 'text');

        return [
            'diameter_mm' => $thread->major->inMm(),
            'system' => 'thread',
            'designation' => $thread->designation,
            'pitch_mm' => $thread->pitch->inMm(),
        ];
    }
}

<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Hole;

use MillStep\Core\Border\CoreException;
use MillStep\Core\Border\Fields;
use MillStep\Core\Border\Impossible;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Measure\FitTable;
use MillStep\Core\Measure\Limits;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\ThreadTable;

/** The hole that is wanted, as one would say it. */
final readonly class HoleRequest
{
    public const PURPOSES = ['plain', 'clearance', 'tapped', 'reamed'];

    /**
     * @param  Length|null  $depth  of a blind hole, at full diameter; of a through hole, what is tapped of it at a time
     * @param  string|null  $fit  class of the limits, H7 for one
     * @param  Limits|null  $limits  of the finished diameter, where a class was named
     * @param  'hand'|'machine'|null  $reamer  asked for; null takes what fits
     */
    private function __construct(
        public string $purpose,
        public ?Length $diameter,
        public ?Thread $thread,
        public bool $through,
        public ?Length $depth,
        public ?Length $positionTolerance,
        public ?string $fit,
        public ?Limits $limits,
        public ?string $reamer,
    ) {
    }

    /**
     * `{purpose, diameter_mm? | thread? | fastener?, through, depth_mm?, position_tolerance_mm?, fit?, reamer?}`
     *
     * @throws InvalidInput
     * @throws CoreException when a blind hole is deeper than the stock, or the size lies beyond the table of limits
     */
    public static function fromFields(Fields $fields, Length $thickness): self
    {
        $purpose = $fields->choice('purpose', self::PURPOSES);
        $through = $fields->flag('through', true);
        $diameter = in_array($purpose, ['plain', 'reamed'], true) ? $fields->length('diameter_mm') : null;
        $fit = $fields->has('fit') ? $fields->text('fit') : null;
        $hole = new self(
            $purpose,
            $diameter,
            match ($purpose) {
                'tapped' => ThreadTable::shipped()->get($fields->text('thread'), 'hole'),
                'clearance' => ThreadTable::shipped()->get($fields->text('fastener'), 'hole'),
                default => null,
            },
            $through,
            $through ? null : $fields->length('depth_mm'),
            $fields->has('position_tolerance_mm') ? $fields->length('position_tolerance_mm') : null,
            $fit,
            $fit !== null && $diameter !== null ? FitTable::limits($fit, $diameter) : null,
            $fields->has('reamer') ? $fields->choice('reamer', ['hand', 'machine']) : null,
        );
        if ($hole->depth?->isAtLeast($thickness) === true) {
            throw Impossible::because(
                'hole',
                'planning.blind_too_deep',
                ['depth_mm' => $hole->depth->inMm(), 'stock_mm' => $thickness->inMm()],
            );
        }

        return $hole;
    }

    /** The same hole, no deeper tapped than this at a time. */
    public function tappedInPieces(Length $each): self
    {
        return new self($this->purpose, $this->diameter, $this->thread, $this->through, $each, $this->positionTolerance, $this->fit,
            $this->limits, $this->reamer);
    }

    /** The widest that anything cuts, as far as the request says. */
    public function largest(): Length
    {
        return $this->diameter ?? $this->thread->major ?? Length::zero();
    }

    /** @throws InvalidInput when none was named */
    public function theThread(): Thread
    {
        return $this->thread ?? throw InvalidInput::at('hole', 'planning.thread_missing');
    }

    /** As a drawing says it: `⌀9 through`, `M8x1.25, 15 deep`, `⌀10 H7 through`. */
    public function describe(): Message
    {
        $size = match ($this->purpose) {
            'tapped' => $this->theThread()->designation,
            'clearance' => Message::of('planning.hole.clearance', ['thread' => $this->theThread()->designation]),
            default => Message::of('planning.hole.'.$this->purpose.($this->fit === null ? '' : '_fit'), [
                'size_mm' => $this->largest()->inMm(),
                ...($this->fit === null ? [] : ['fit' => $this->fit]),
            ]),
        };

        return $this->through || $this->depth === null
            ? Message::of('planning.hole.through', ['size' => $size])
            : Message::of('planning.hole.deep', ['size' => $size, 'depth_mm' => $this->depth->inMm()]);
    }
}

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
use MillStep\Core\Planning\Thread\Tapping;
use MillStep\Core\Reference\FastenerHead;
use MillStep\Core\Reference\Thread;
use MillStep\Core\Reference\ThreadTable;

/** The hole that is wanted, as one would say it. */
final readonly class HoleRequest
{
    public const PURPOSES = ['plain', 'clearance', 'tapped', 'reamed', 'bored', 'countersunk', 'counterbored', 'spotfaced'];

    /** Steeper than that nobody calls it a face. */
    private const STEEPEST_DEG = 45.0;

    /**
     * @param  Length|null  $depth  of a blind hole, at full diameter; of a through hole, what is tapped of it at a time
     * @param  string|null  $fit  class of the limits, H7 for one
     * @param  Limits|null  $limits  of the finished diameter, where a class was named
     * @param  'hand'|'machine'|null  $reamer  asked for; null takes what fits
     * @param  FastenerHead|null  $head  whose seat is over a clearance hole
     * @param  float  $slopeDeg  of the face that it starts in, against square to the drill
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
        public ?FastenerHead $head = null,
        public Tapping $tapping = Tapping::Hand,
        public float $slopeDeg = 0.0,
    ) {
    }

    /**
     * `{purpose, diameter_mm? | thread? | fastener?, through, depth_mm?, position_tolerance_mm?, fit?, reamer?, tapping?, slope_deg?}`
     *
     * @throws InvalidInput
     * @throws CoreException when a blind hole is deeper than the stock, or the size lies beyond the table of limits
     */
    public static function fromFields(Fields $fields, Length $thickness): self
    {
        $purpose = $fields->choice('purpose', self::PURPOSES);
        $through = $fields->flag('through', true);
        $diameter = in_array($purpose, ['plain', 'reamed', 'bored'], true) ? $fields->length('diameter_mm') : null;
        $fit = $fields->has('fit') ? $fields->text('fit') : null;
        $hole = new self(
            $purpose,
            $diameter,
            match ($purpose) {
                'tapped' => ThreadTable::shipped()->get($fields->text('thread'), 'hole'),
                'clearance', 'countersunk', 'counterbored', 'spotfaced' => ThreadTable::shipped()->get($fields->text('fastener'), 'hole'),
                default => null,
            },
            $through,
            $through ? null : $fields->length('depth_mm'),
            $fields->has('position_tolerance_mm') ? $fields->length('position_tolerance_mm') : null,
            $fit,
            $fit !== null && $diameter !== null ? FitTable::limits($fit, $diameter) : null,
            $fields->has('reamer') ? $fields->choice('reamer', ['hand', 'machine']) : null,
            in_array($purpose, ['countersunk', 'counterbored', 'spotfaced'], true) ? self::head($fields, $purpose) : null,
            $purpose === 'tapped'
                ? Tapping::from($fields->choice('tapping', array_column(Tapping::cases(), 'value'), 'hand')) : Tapping::Hand,
            $purpose === 'spotfaced' ? self::slope($fields) : 0.0,
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

    /** @throws InvalidInput */
    private static function slope(Fields $fields): float
    {
        $slope = $fields->notNegative('slope_deg', 0.0);

        return $slope < self::STEEPEST_DEG ? $slope
            : throw $fields->fault('slope_deg', 'input.not_from_to', ['least' => 0, 'most' => self::STEEPEST_DEG, 'found' => $slope]);
    }

    /** @throws InvalidInput where the table has no such head for this fastener */
    private static function head(Fields $fields, string $purpose): FastenerHead
    {
        $thread = ThreadTable::shipped()->get($fields->text('fastener'), 'hole');
        $flat = FastenerHead::FLAT[str_starts_with($thread->designation, 'M') ? 'metric' : 'inch'];
        $head = match ($purpose) {
            'counterbored' => FastenerHead::CAP,
            'spotfaced' => FastenerHead::WASHER,
            default => $fields->choice('head', $flat, $flat[0]),
        };

        return FastenerHead::of($head, $thread) ?? throw InvalidInput::at('hole', 'planning.no_head', [
            'head' => Message::of("planning.head.$head"), 'thread' => $thread->designation,
        ]);
    }

    /** The same hole, no deeper tapped than this at a time. */
    public function tappedInPieces(Length $each): self
    {
        return new self($this->purpose, $this->diameter, $this->thread, $this->through, $each, $this->positionTolerance, $this->fit,
            $this->limits, $this->reamer, $this->head, $this->tapping, $this->slopeDeg);
    }

    /** The widest that anything cuts, as far as the request says. */
    public function largest(): Length
    {
        return $this->diameter ?? ($this->thread === null ? Length::zero() : $this->tapping->major($this->thread));
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
            'tapped' => $this->tapping === Tapping::Insert
                ? Message::of('planning.hole.insert', ['thread' => $this->theThread()->designation]) : $this->theThread()->designation,
            'clearance' => Message::of('planning.hole.clearance', ['thread' => $this->theThread()->designation]),
            'countersunk', 'counterbored', 'spotfaced' => Message::of("planning.hole.$this->purpose", [
                'thread' => $this->theThread()->designation,
            ]),
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

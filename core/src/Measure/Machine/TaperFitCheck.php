<?php

declare(strict_types=1);

namespace MillStep\Core\Measure\Machine;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Operation;

/**
 * Whether a taper shank fits its socket, from how much of a line of marking is rubbed off at either end when it is
 * seated and turned a little by hand. A taper drives by friction: it has to bear over three quarters of its length,
 * the large end among them (workshop practice).
 */
final readonly class TaperFitCheck implements Operation
{
    private const SHARE = 0.75;

    /** Less than that of an end is a spot, not a bearing. */
    private const SPOT = 0.1;

    public function __construct(public Length $length, public Length $atLarge, public Length $atSmall)
    {
    }

    /** @throws InvalidInput when more is rubbed than there is */
    public static function fromFields(Fields $fields): static
    {
        $length = $fields->length('taper_length_mm');
        $atLarge = $fields->lengthOrZero('at_large_mm');
        foreach (['at_large_mm' => $atLarge, 'at_small_mm' => $fields->lengthOrZero('at_small_mm')] as $key => $rubbed) {
            if ($rubbed->isGreaterThan($length)) {
                throw $fields->fault($key, 'input.above', ['other' => 'taper_length_mm']);
            }
        }

        return new self($length, $atLarge, $fields->lengthOrZero('at_small_mm'));
    }

    public function compute(): TaperFit
    {
        $sum = $this->atLarge->plus($this->atSmall);
        // Rubbed from end to end, both readings are the whole.
        $rubbed = $sum->isGreaterThan($this->length) ? $this->length : $sum;
        $wanted = $this->length->times(self::SHARE);
        $spot = $this->length->times(self::SPOT);
        $large = $this->atLarge->isAtLeast($spot);
        $small = $this->atSmall->isAtLeast($spot);

        return new TaperFit($rubbed, $wanted, match (true) {
            $rubbed->isAtLeast($wanted) && $large => 'bears',
            $large && $small => 'hollow',
            $large => 'large_end_only',
            $small => 'small_end_only',
            default => 'spots',
        });
    }
}

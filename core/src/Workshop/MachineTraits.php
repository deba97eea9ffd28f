<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

/** A machine's record, read for what makes it another machine to the hand. What nobody has said is not in it. */
final readonly class MachineTraits
{
    /** @param  array<value-of<MachineTrait>, string>  $said  in the shop's own words, or as the record has them */
    private function __construct(private array $said)
    {
    }

    /** @param  array<string, mixed>  $record  a machine's fields; scale and dials are compared as they stand */
    public static function fromRecord(array $record): self
    {
        $scales = array_filter(array_intersect_key($record, ['depth_scale' => 0, 'dial' => 0, 'cross_dial' => 0]), is_array(...));
        $texts = array_intersect_key($record, array_flip(['speed_change', 'stop', 'isolator', 'brake', 'locks']));

        return new self(array_filter([
            ...array_map(static fn (mixed $text): string => is_string($text) ? trim($text) : '', $texts),
            'scale' => $scales === [] ? '' : self::plain($scales),
        ], static fn (string $said): bool => $said !== ''));
    }

    public function says(MachineTrait $trait): ?string
    {
        return $this->said[$trait->value] ?? null;
    }

    /**
     * What differs from a machine that is known. What one of the two records does not say may differ, so it does; of a machine to which
     * no other is known everything does.
     *
     * @return list<MachineTrait> in the order of the trait's cases
     */
    public function differsFrom(?self $known): array
    {
        return array_values(array_filter(
            MachineTrait::cases(),
            fn (MachineTrait $trait): bool => $known === null ? $trait->isFoundBlind() || $this->says($trait) !== null
                : ! $this->isSame($trait, $known),
        ));
    }

    /**
     * What is shown to somebody who comes from a machine that is known: what differs, and always where stop and isolator are.
     *
     * @return list<MachineTrait> in the order of the trait's cases
     */
    public function toShow(?self $known): array
    {
        $differs = $this->differsFrom($known);

        return array_values(array_filter(
            MachineTrait::cases(),
            static fn (MachineTrait $trait): bool => $trait->isFoundBlind() || in_array($trait, $differs, true),
        ));
    }

    private function isSame(MachineTrait $trait, self $other): bool
    {
        return self::folded($this->says($trait)) === self::folded($other->says($trait));
    }

    private static function folded(?string $said): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', ' ', $said ?? ''));
    }

    /** @param  array<array-key, mixed>  $scales */
    private static function plain(array $scales): string
    {
        $sort = static function (array $fields) use (&$sort): array {
            ksort($fields);

            return array_map(static fn (mixed $one): mixed => match (true) {
                is_array($one) => $sort($one),
                is_int($one) => (float) $one,
                default => $one,
            }, $fields);
        };

        return json_encode($sort($scales), JSON_THROW_ON_ERROR);
    }
}

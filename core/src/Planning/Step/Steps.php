<?php

declare(strict_types=1);

namespace MillStep\Core\Planning\Step;

/** The only list of kinds of operation; the API's description takes it from here. */
final class Steps
{
    /** @var list<class-string<Kind>> */
    private const KINDS = [
        Clean::class, MarkOut::class, Punch::class, Locate::class, Hold::class, Face::class, Centre::class, Drill::class,
        Countersink::class, HeadSeat::class, Tap::class, Insert::class, Ream::class, Bore::class, Turn::class,
        PartOff::class, Deburr::class, Measure::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_merge(...array_map(static fn (string $kind): array => $kind::names(), self::KINDS));
    }

    /**
     * @return class-string<Kind>
     *
     * @throws \OutOfBoundsException for a kind that is in no plan
     */
    public static function kind(string $name): string
    {
        foreach (self::KINDS as $kind) {
            if (in_array($name, $kind::names(), true)) {
                return $kind;
            }
        }
        throw new \OutOfBoundsException("No operation is called $name.");
    }
}

<?php

declare(strict_types=1);

namespace MillStep\Core\Reference;

/** A kind of tap (tap_types.csv: workshop practice). */
final readonly class TapType
{
    private const STRAIGHT_FLUTES = ['taper', 'second', 'bottoming', 'insert'];

    private function __construct(public string $type, public float $leadThreads, public bool $suitsThrough, public bool $suitsBlind)
    {
    }

    /** @throws BrokenTable */
    public static function of(string $type): self
    {
        return self::all()[$type] ?? throw new \OutOfBoundsException("No tap is called $type.");
    }

    /**
     * @return array<string, self> by type
     *
     * @throws BrokenTable
     */
    public static function all(): array
    {
        /** @var array<string, self>|null $all */
        static $all = null;
        if ($all === null) {
            $rows = Table::shipped('tap_types.csv', ['type', 'chamfer_threads_min', 'chamfer_threads_max', 'suits_through',
                'suits_blind'])->map(static function (Row $row): self {
                    if ($row->positive('chamfer_threads_max') < $row->positive('chamfer_threads_min')) {
                        throw $row->fault('chamfer_threads_max', 'lies below the minimum');
                    }

                    // The longer figure: a hole that is deep enough for it is deep enough.
                    return new self(
                        $row->text('type'),
                        $row->positive('chamfer_threads_max'),
                        $row->flag('suits_through'),
                        $row->flag('suits_blind'),
                    );
                });
            $all = array_combine(array_column($rows, 'type'), $rows);
        }

        return $all;
    }

    public function hasStraightFlutes(): bool
    {
        return in_array($this->type, self::STRAIGHT_FLUTES, true);
    }
}

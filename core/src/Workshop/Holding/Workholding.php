<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;
use MillStep\Core\Border\Message;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** A way to hold work (workholding.csv): what it resists, about how hard, and up to which drill it is usual. */
final readonly class Workholding
{
    private function __construct(
        public string $method,
        public string $machine,
        public bool $resistsTurning,
        public bool $resistsLifting,
        public string $forceKind,
        public float $forceN,
        public float $usualUpToMm,
    ) {
    }

    /** @throws BrokenTable */
    private static function fromRow(Row $row): self
    {
        $force = $row->positive('typical_force_teach_N');
        if ($force < $row->positive('typical_force_min_N') || $force > $row->positive('typical_force_max_N')) {
            throw $row->fault('typical_force_teach_N', 'lies outside its own minimum and maximum');
        }

        return new self(
            $row->text('method'),
            $row->text('machine'),
            $row->flag('resists_rotation'),
            $row->flag('resists_lift'),
            $row->choice('force_kind', ['hand', 'jaw', 'clamp']), $force, $row->number('acceptable_up_to_drill_mm'),
        );
    }

    /**
     * @return array<string, self> by method
     *
     * @throws BrokenTable
     */
    public static function all(): array
    {
        /** @var array<string, self>|null $all */
        static $all = null;
        if ($all === null) {
            $rows = Table::shipped(
                'workholding.csv',
                [
                    'method', 'machine', 'resists_rotation', 'resists_lift', 'typical_force_min_N',
                    'typical_force_max_N', 'typical_force_teach_N',
                ],
            )->map(self::fromRow(...));
            $all = array_combine(array_map(static fn (self $holding): string => $holding->method, $rows), $rows);
        }

        return $all;
    }

    /** @throws InvalidInput naming the field `holding` */
    public static function get(string $method): self
    {
        return self::all()[$method]
            ?? throw InvalidInput::at(
                'holding',
                'workshop.holding_unknown',
                ['said' => Message::quote($method, 30), 'known' => array_keys(self::all())],
            );
    }

    public function word(): Message
    {
        return Message::of("workshop.holding.$this->method");
    }

    public function byHand(): bool
    {
        return $this->forceKind === 'hand';
    }

    /**
     * What friction holds: a vice and a clamp grip on two faces, a chuck's jaws on one each; two clamps where the
     * name says a pair.
     */
    public function resistingForceN(float $friction): float
    {
        $faces = match (true) {
            $this->method === 'three_jaw_chuck' => 3,
            $this->method === 'four_jaw_chuck' => 4,
            str_contains($this->method, 'pair') => 4,
            default => 2,
        };

        return $faces * $friction * $this->forceN;
    }

    public function forRoundWork(): bool
    {
        return str_starts_with($this->method, 'v_block') || $this->machine === 'lathe';
    }

    public function suits(string $machineKind, Length $drill): bool
    {
        return $this->machine === $machineKind
            && $this->resistsTurning
            && $this->resistsLifting
            && $drill->inMm() <= $this->usualUpToMm + Length::TOLERANCE_MM;
    }
}

<?php

declare(strict_types=1);

namespace MillStep\Core\Setup;

use MillStep\Core\Exception\InvalidInput;
use MillStep\Core\Measure\Length;
use MillStep\Core\Reference\BrokenTable;
use MillStep\Core\Reference\Row;
use MillStep\Core\Reference\Table;

/** A way to hold work (workholding.csv): what it resists, about how hard, and up to which drill it is usual. */
final readonly class Workholding
{
    private function __construct(
        public string $method,
        public string $description,
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
        return new self($row->text('method'), $row->text('description'), $row->text('machine'), $row->flag('resists_rotation'), $row->flag('resists_lift'),
            $row->text('force_kind'), $row->positive('typical_force_teach_N'), $row->number('acceptable_up_to_drill_mm'));
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
            $rows = Table::shipped('workholding.csv', ['method', 'machine', 'resists_rotation', 'resists_lift', 'typical_force_teach_N'])->map(self::fromRow(...));
            $all = array_combine(array_map(static fn (self $holding): string => $holding->method, $rows), $rows);
        }

        return $all;
    }

    /** @throws InvalidInput naming the field `holding` */
    public static function get(string $method): self
    {
        return self::all()[$method]
            ?? throw InvalidInput::at('holding', sprintf('"%s" is no way of holding that the table knows. It knows %s.', mb_strimwidth(mb_scrub($method), 0, 30, '…'), implode(', ', array_keys(self::all()))));
    }

    public function byHand(): bool
    {
        return $this->forceKind === 'hand';
    }

    /** Two gripping faces, two clamps where the name says a pair, at the cautious end of friction. */
    public function resistingForceN(float $friction): float
    {
        $count = str_contains($this->method, 'pair') ? 2 : (str_ends_with($this->method, 'jaw_chuck') ? 3 : 1);

        return 2 * $friction * $this->forceN * $count;
    }

    public function suits(string $machineKind, Length $drill): bool
    {
        return $this->machine === $machineKind && $this->resistsTurning && $this->resistsLifting && $drill->inMm() <= $this->usualUpToMm + Length::TOLERANCE_MM;
    }
}

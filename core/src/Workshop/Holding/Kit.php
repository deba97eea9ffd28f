<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop\Holding;

use MillStep\Core\Border\Fields;
use MillStep\Core\Border\InvalidInput;
use MillStep\Core\Border\Length;

/** What a shop has to hold work with. */
final readonly class Kit
{
    /** The pieces, and what each way of holding at the press takes of them. */
    private const NEEDS = [
        'vice_bolted' => ['vice'],
        'vice_loose' => ['vice'],
        'vice_against_stop' => ['vice', 'stop'],
        'bar_clamp_single' => ['bar_clamp'],
        'bar_clamp_and_stop' => ['bar_clamp', 'stop'],
        'bar_clamp_pair' => ['bar_clamp', 'bar_clamp'],
        'strap_clamp_pair' => ['strap', 'strap'],
        'toggle_clamp_fixture' => ['toggle_fixture'],
        'v_block_clamped' => ['v_block'],
        'v_block_loose' => ['v_block'],
        'angle_plate_clamped' => ['angle_plate', 'bar_clamp'],
        'jig_against_stop' => ['jig', 'stop'],
    ];

    public const PIECES = ['vice', 'bar_clamp', 'strap', 'v_block', 'stop', 'angle_plate', 'toggle_fixture', 'jig'];

    /** A clamp or strap that is said once is there as a pair, which is how they are bought. */
    private const PAIRED = ['bar_clamp', 'strap'];

    /** @param  list<array{piece: string, takes: Length}>  $pieces  with the widest work that each takes */
    private function __construct(private array $pieces)
    {
    }

    /**
     * @param  list<Fields>  $pieces
     *
     * @throws InvalidInput
     */
    public static function fromFields(array $pieces): self
    {
        return new self(array_map(static fn (Fields $piece): array => [
            'piece' => $piece->choice('piece', self::PIECES),
            'takes' => $piece->length('takes_mm'),
        ], $pieces));
    }

    /**
     * Whether all is there that a way of holding takes; a chuck belongs to its lathe, and a hand to everybody.
     *
     * @param  Length|null  $bar  the diameter of round work, which a V-block has to take
     * @param  Length|null  $across  how wide the work is that a vice has to open for
     */
    public function has(Workholding $holding, ?Length $bar, ?Length $across = null): bool
    {
        foreach (self::NEEDS[$holding->method] ?? [] as $piece) {
            $there = array_filter($this->pieces, static fn (array $own): bool => $own['piece'] === $piece
                && ($piece !== 'v_block' || $bar === null || $own['takes']->isAtLeast($bar))
                && ($piece !== 'vice' || $across === null || $own['takes']->isAtLeast($across)));
            $wanted = count(array_keys(self::NEEDS[$holding->method], $piece, true));
            if (count($there) < ($there !== [] && in_array($piece, self::PAIRED, true) ? 1 : $wanted)) {
                return false;
            }
        }

        return true;
    }
}

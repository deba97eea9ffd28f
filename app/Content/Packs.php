<?php

declare(strict_types=1);

namespace App\Content;

use App\Content\Files\GivenFiles;
use App\Support\ContentFault;
use App\Support\FaultyContent;
use App\Support\Given;
use Illuminate\Support\Facades\DB;

/** All packs that are at hand: those that ship, those that were brought along, and what this shop has written itself. */
final class Packs
{
    /** @return list<Pack> */
    public function all(): array
    {
        $packs = [];
        foreach ([...Pack::shipped(), ...$this->brought()] as $pack) {
            // One that was brought along stands before the one that ships, unless that is newer.
            if (($packs[$pack->code] ?? null) === null || $packs[$pack->code]->version() <= $pack->version()) {
                $packs[$pack->code] = $pack;
            }
        }
        $own = OwnPack::made();

        return [...array_values($packs), ...($own === null ? [] : [$own])];
    }

    public function find(string $code): ?Pack
    {
        return array_values(array_filter($this->all(), static fn (Pack $pack): bool => $pack->code === $code))[0] ?? null;
    }

    /** @throws FaultyContent when it is not here */
    public function neededBy(Pack $pack, string $code): Pack
    {
        $needed = $this->find($code);
        FaultyContent::unless($needed !== null ? [] : [
            ContentFault::at('pack.yaml', $pack->about->lineOf('needs'), 'no_needed_pack', ['pack' => $code]),
        ]);

        /** @var Pack */
        return $needed;
    }

    /** @return list<Pack> */
    private function brought(): array
    {
        $packs = [];
        foreach (DB::table('content_files')->orderBy('pack')->orderBy('path')->get()->groupBy('pack') as $code => $rows) {
            $files = [];
            foreach ($rows as $row) {
                $files[Given::text($row->path)] = Given::text($row->body);
            }
            $packs[] = Pack::of((string) $code, new GivenFiles($files));
        }

        return $packs;
    }
}

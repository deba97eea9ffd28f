<?php

declare(strict_types=1);

namespace App\Content;

use App\Content\Files\GivenFiles;
use App\Content\Files\PackZip;
use App\People\User;
use App\Support\FaultyContent;
use App\Support\Refusal;
use Illuminate\Support\Facades\DB;

/** Takes a pack in that came as a zip, and keeps its files as they are: all of it, or nothing and every fault. */
final class BringPack
{
    public function __construct(private readonly TakeIn $take)
    {
    }

    /**
     * @param  string  $name  of the file that came
     * @param  bool  $instead  whoever brings it has said that it takes the place of the one that ships under that name
     *
     * @throws FaultyContent with every fault, its file and line
     * @throws Refusal `pack_ships` when one that ships is called so and says something else
     */
    public function __invoke(string $name, string $bytes, User $by, bool $instead = false): Pack
    {
        ['code' => $code, 'files' => $files] = PackZip::read($name, $bytes);
        $pack = Pack::of($code, new GivenFiles($files));
        $shipped = Pack::shippedAs($code);
        if (! $instead && $shipped !== null && ! $shipped->saysTheSameAs($pack)) {
            throw Refusal::because('pack_ships', ['code' => $code]);
        }
        DB::transaction(function () use ($pack, $files, $by): void {
            // Brought by two at once, it is there once.
            DB::select('SELECT pg_advisory_xact_lock(hashtextextended(?, 0))', ["pack:$pack->code"]);
            ($this->take)($pack, $by);
            // What the shop has written itself is kept as lessons, and made into a pack when it is asked for.
            if ($pack->isOwn()) {
                return;
            }
            DB::table('content_files')->where('pack', $pack->code)->delete();
            foreach ($files as $path => $text) {
                DB::table('content_files')->insert(['pack' => $pack->code, 'path' => $path, 'body' => $text]);
            }
        });

        return $pack;
    }
}

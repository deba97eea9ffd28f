<?php

declare(strict_types=1);

namespace App\Competency;

use App\People\Role;
use App\People\User;
use App\Policy\Policy;
use App\Support\DatabaseClock;
use App\Support\Given;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Notification;
use MillStep\Core\Competency\ChainHead;
use MillStep\Core\Competency\HashChain;

/**
 * The signed heads of the chain: one a line in a file outside the database's reach (MILLSTEP_ANCHORS), again in a second place
 * (MILLSTEP_ANCHORS_COPY), once a day by letter where the policy wants it (`anchor_letters`), and each known by its number in the
 * database, so that one that is gone is missed.
 *
 * @phpstan-type Anchor array{count: int, hash: string, at: string, signature: string}
 */
final class Anchors
{
    /** The second place of an anchor that went out by mail. */
    private const LETTER = 'letter';

    public function __construct(private readonly ShopKey $key)
    {
    }

    public function file(): string
    {
        return Config::string('millstep.anchors');
    }

    /** The second place; empty where there is none. */
    public function copy(): string
    {
        return Config::string('millstep.anchors_copy');
    }

    /** The head as it stands now. */
    public function head(): ChainHead
    {
        // In one look: a line that comes between two would make a head that never was.
        $row = DB::selectOne('SELECT count(*) AS lines, (array_agg(hash ORDER BY seq DESC))[1] AS hash FROM competency_ledger');

        return new ChainHead(
            Given::whole($row?->lines),
            $row?->hash === null ? HashChain::START : Given::text($row->hash),
            DatabaseClock::now()->startOfSecond(),
        );
    }

    /** @return Anchor for a proof on paper */
    public function signed(ChainHead $head): array
    {
        return [
            'count' => $head->count,
            'hash' => $head->hash,
            'at' => $head->at->format('Y-m-d\TH:i:s\Z'),
            'signature' => $this->key->sign($head),
        ];
    }

    /** @throws \RuntimeException when the file, or the second one, cannot be written to */
    public function write(): ChainHead
    {
        $head = $this->head();
        $signed = $this->signed($head);
        self::append($this->file(), $signed);
        $this->copy() === '' || self::append($this->copy(), $signed);
        DB::table('competency_anchors')->insert([
            ...$signed, 'place' => $this->file(),
            'second_place' => match (true) {
                $this->sent($signed) => self::LETTER,
                $this->copy() !== '' => $this->copy(),
                default => null,
            },
        ]);

        return $head;
    }

    /**
     * Once a day, where the shop's policy wants it, to lead and auditor.
     *
     * @param  Anchor  $signed
     */
    private function sent(array $signed): bool
    {
        $day = DatabaseClock::now()->subDay()->addMinutes(5);
        if ($signed['count'] === 0 || ! Policy::inForce()->anchorLetters
            || DB::table('competency_anchors')->where('second_place', self::LETTER)->where('at', '>', $day)->exists()) {
            return false;
        }
        $to = User::query()->whereIn('role', [Role::Lead, Role::Auditor])->where('active', true)->get();
        try {
            Notification::send($to, new AnchorLetter($signed));
        } catch (\Throwable $failure) {
            // The file stands; the letter is tried again within the hour.
            Log::error('The signed head of the ledger could not be mailed.', ['failure' => $failure::class]);

            return false;
        }

        return $to->isNotEmpty();
    }

    /**
     * Those that the database knows, written where they are gone from. They carry the shop's signature, so nobody else made them.
     *
     * @return int how many were put back
     *
     * @throws \RuntimeException when a file cannot be written to
     */
    public function putBack(): int
    {
        $back = 0;
        foreach ($this->copy() === '' ? [$this->file()] : [$this->file(), $this->copy()] as $file) {
            $there = array_map(self::name(...), is_file($file) ? $this->readFile($file) : []);
            foreach ($this->known() as $anchor) {
                if (! in_array(self::name($anchor), $there, true)) {
                    self::append($file, array_diff_key($anchor, ['number' => 0]));
                    $back++;
                }
            }
        }

        return $back;
    }

    /**
     * All that are still in one of the places.
     *
     * @return list<Anchor>
     *
     * @throws \RuntimeException when a line is no anchor of this shop
     */
    public function read(): array
    {
        $anchors = [];
        foreach (array_filter([$this->file(), $this->copy()], is_file(...)) as $file) {
            foreach ($this->readFile($file) as $anchor) {
                $anchors[self::name($anchor)] = $anchor;
            }
        }

        return array_values($anchors);
    }

    /** @return list<array{number: int, count: int, hash: string, at: string, signature: string}> that were written, in their order */
    public function known(): array
    {
        return array_values(DB::table('competency_anchors')->orderBy('number')->get()->map(static fn (\stdClass $row): array => [
            'number' => Given::whole($row->number), 'count' => Given::whole($row->count), 'hash' => Given::text($row->hash),
            'at' => CarbonImmutable::parse(Given::text($row->at))->utc()->format('Y-m-d\TH:i:s\Z'),
            'signature' => Given::text($row->signature),
        ])->all());
    }

    /** How many lines the newest that the database knows speaks about. */
    public function knownLines(): int
    {
        return max([0, ...array_column($this->known(), 'count')]);
    }

    /**
     * The first that the database knows and neither place has any more.
     *
     * @param  list<Anchor>  $found
     * @return array{number: int, count: int, hash: string, at: string, signature: string}|null
     */
    public function gone(array $found): ?array
    {
        $there = array_map(self::name(...), $found);
        foreach ($this->known() as $anchor) {
            if (! in_array(self::name($anchor), $there, true)) {
                return $anchor;
            }
        }

        return null;
    }

    /** On how many days after an instant the server ran. */
    public function daysSince(string $at): int
    {
        return DB::table('competency_server_days')->where('day', '>', substr($at, 0, 10))->count();
    }

    /** Today the server runs. */
    public static function noteDay(): void
    {
        DB::table('competency_server_days')->insertOrIgnore(['day' => DatabaseClock::now()->toDateString()]);
    }

    /** @param  array{count: int, hash: string, at: string, ...}  $anchor */
    private static function name(array $anchor): string
    {
        return "{$anchor['count']} {$anchor['hash']} {$anchor['at']}";
    }

    /** @param  array<string, mixed>  $anchor */
    private static function append(string $file, array $anchor): void
    {
        @mkdir(dirname($file), 0700, true);
        $line = json_encode($anchor, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n";
        if (@file_put_contents($file, $line, FILE_APPEND | LOCK_EX) === false) {
            throw new \RuntimeException("The anchor could not be written to $file. See that the folder is there and may be written to.");
        }
    }

    /**
     * @return list<Anchor>
     *
     * @throws \RuntimeException when a line is no anchor of this shop
     */
    private function readFile(string $file): array
    {
        $anchors = [];
        foreach (file($file, FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $number => $line) {
            /** @var array{count?: int, hash?: string, at?: string, signature?: string}|null $given */
            $given = json_decode($line, true);
            $head = new ChainHead(
                (int) ($given['count'] ?? -1),
                (string) ($given['hash'] ?? ''),
                CarbonImmutable::parse($given['at'] ?? '2000-01-01'),
            );
            if (! $this->key->hasSigned($head, $given['signature'] ?? '')) {
                throw new \RuntimeException(sprintf('Line %d of %s is not signed with this shop\'s key.', $number + 1, $file));
            }
            $anchors[] = $this->signed($head);
        }

        return $anchors;
    }
}

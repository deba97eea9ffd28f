<?php

declare(strict_types=1);

namespace App\Competency;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Config;
use MillStep\Core\Competency\ChainHead;
use MillStep\Core\Competency\HashChain;

/** The signed heads of the chain, one a line, in a file outside the database's reach (MILLSTEP_ANCHORS). */
final class Anchors
{
    public function __construct(private readonly ShopKey $key)
    {
    }

    public function file(): string
    {
        return Config::string('millstep.anchors');
    }

    /** The head as it stands now. */
    public function head(): ChainHead
    {
        return new ChainHead(
            LedgerEntry::query()->count(),
            LedgerEntry::query()->latest('seq')->first()->hash ?? HashChain::START,
            CarbonImmutable::now('UTC')->startOfSecond(),
        );
    }

    /** @return array{count: int, hash: string, at: string, signature: string} for a proof on paper */
    public function signed(ChainHead $head): array
    {
        return [
            'count' => $head->count,
            'hash' => $head->hash,
            'at' => $head->at->format('Y-m-d\TH:i:s\Z'),
            'signature' => $this->key->sign($head),
        ];
    }

    /** @throws \RuntimeException when the file cannot be written to */
    public function write(): ChainHead
    {
        $head = $this->head();
        $file = $this->file();
        @mkdir(dirname($file), 0700, true);
        $written = @file_put_contents(
            $file,
            json_encode($this->signed($head), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n",
            FILE_APPEND | LOCK_EX,
        );
        if ($written === false) {
            throw new \RuntimeException("The anchor could not be written to $file. See that the folder is there and may be written to.");
        }

        return $head;
    }

    /**
     * @return array<int, string> hash by count of lines
     *
     * @throws \RuntimeException when a line is no anchor of this shop
     */
    public function read(): array
    {
        $heads = [];
        foreach (is_file($this->file()) ? file(
            $this->file(),
            FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES,
        ) ?: [] : [] as $number => $line) {
            /** @var array{count?: int, hash?: string, at?: string, signature?: string}|null $given */
            $given = json_decode($line, true);
            $head = new ChainHead(
                (int) ($given['count'] ?? -1),
                (string) ($given['hash'] ?? ''),
                CarbonImmutable::parse($given['at'] ?? '2000-01-01'),
            );
            if (! $this->key->hasSigned($head, $given['signature'] ?? '')) {
                throw new \RuntimeException(sprintf('Line %d of %s is not signed with this shop\'s key.', $number + 1, $this->file()));
            }
            $heads[$head->count] = $head->hash;
        }

        return $heads;
    }
}

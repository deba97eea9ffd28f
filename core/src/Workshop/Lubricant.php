<?php

declare(strict_types=1);

namespace MillStep\Core\Workshop;

use MillStep\Core\Border\Message;

/** What is brushed or sprayed on a cut: any of the kinds that a material's row names, or none. */
final readonly class Lubricant
{
    public const KNOWN = [
        'dry', 'soluble_oil', 'cutting_oil', 'light_cutting_oil', 'light_mineral_oil', 'sulphurised_cutting_oil',
        'heavy_duty_sulphurised_cutting_oil', 'water', 'plain_water', 'soapy_water', 'air_blast',
    ];

    /** @param  list<string>  $kinds  by their keys, or as a shop wrote its own */
    private function __construct(private array $kinds, public string $said)
    {
    }

    /** As the table or a shop says it: `soluble oil or cutting oil`, `air blast`, `dry`. */
    public static function read(string $said): self
    {
        $kinds = [];
        foreach (preg_split('/\s+or\s+|\s*[,;|]\s*/u', trim($said)) ?: [] as $kind) {
            $key = (string) preg_replace(['/^an?\s+/', '/[\s-]+/'], ['', '_'], mb_strtolower(trim($kind)));
            $kinds[] = in_array($key, self::KNOWN, true) ? $key : trim($kind);
        }

        return new self(array_values(array_filter($kinds, static fn (string $kind): bool => $kind !== '')), trim($said));
    }

    public function isDry(): bool
    {
        return $this->kinds === [] || $this->kinds === ['dry'];
    }

    /** Whether one of the given kinds is one of these, or a plainer name of one: cutting oil for light cutting oil. */
    public function suits(self $given): bool
    {
        $wanted = $this->kinds === [] ? ['dry'] : $this->kinds;
        foreach ($given->kinds === [] ? ['dry'] : $given->kinds as $kind) {
            foreach ($wanted as $name) {
                if ($name === $kind || str_ends_with($name, "_$kind")) {
                    return true;
                }
            }
        }

        return false;
    }

    public function word(): Message|string
    {
        $words = array_map(
            static fn (string $kind): Message|string => in_array($kind, self::KNOWN, true) ? Message::of("workshop.lubricant.$kind")
                : $kind,
            $this->kinds,
        );

        return $words === [] ? Message::of('workshop.lubricant.dry') : Message::anyOf($words);
    }
}

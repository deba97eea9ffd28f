<?php

declare(strict_types=1);

namespace App\Live;

use App\Support\EndsRights;
use App\Support\HappensAfterCommit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\Facades\Config;

/**
 * Tells the screens that something changed, not what: they ask, with their own rights. Published on loopback to
 * nginx's push module after the answer has gone out; where that fails, screens find out by polling.
 */
final class Push
{
    /** @var array<string, bool> channels to publish to at the end of this request; true where whoever listens there is cut off */
    private array $waiting = [];

    public function __construct(private readonly Application $app)
    {
    }

    public function handle(string $event, mixed $payload): void
    {
        $happened = is_array($payload) ? ($payload[0] ?? null) : $payload;
        if (! $happened instanceof HappensAfterCommit || Config::string('millstep.push_url') === '') {
            return;
        }
        if ($this->waiting === []) {
            $this->app->terminating($this->publish(...));
        }
        foreach ($happened->channels() as $channel) {
            $this->waiting[$channel] = ($this->waiting[$channel] ?? false) || $happened instanceof EndsRights;
        }
    }

    public function publish(): void
    {
        [$channels, $this->waiting] = [$this->waiting, []];
        foreach ($channels as $channel => $cutsOff) {
            $call = curl_init(rtrim(Config::string('millstep.push_url'), '/').'/'.rawurlencode($channel));
            if ($call === false) {
                continue;
            }
            curl_setopt_array(
                $call,
                // Taken away, a channel ends every stream on it; who may still listen is let in again by the same question as ever.
                ($cutsOff ? [CURLOPT_CUSTOMREQUEST => 'DELETE'] : [CURLOPT_POST => true, CURLOPT_POSTFIELDS => 'changed']) + [
                    CURLOPT_RETURNTRANSFER => true,
                    CURLOPT_TIMEOUT_MS => 500,
                    CURLOPT_PROXY => '',
                    CURLOPT_NOSIGNAL => true,
                ],
            );
            curl_exec($call);
            curl_close($call);
        }
    }
}

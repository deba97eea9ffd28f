<?php

declare(strict_types=1);

// Compiled once when php-fpm starts, and shared by its workers: what nearly every request needs of the framework, and
// the product's own classes. Run by opcache.preload; what is left out is loaded when it is needed.

/** @var array<class-string, string> $classes */
$classes = require __DIR__.'/../vendor/composer/autoload_classmap.php';
$wanted = ['App', 'Carbon', 'Illuminate', 'Laravel\\Sanctum', 'MillStep\\Core', 'Monolog', 'Psr', 'Symfony\\Component\\HttpFoundation', 'Symfony\\Component\\HttpKernel\\Exception',
    'Symfony\\Component\\Clock', 'Symfony\\Component\\Routing', 'Symfony\\Component\\VarDumper', 'Dotenv', 'PhpOption', 'GrahamCampbell', 'Brick\\Math',
    'Laravel\\SerializableClosure', 'Symfony\\Component\\Translation', 'Symfony\\Contracts', ];
// Whatever hangs on packages or drivers that a request does not use.
$left = '/\\\\(Testing|Test|Console|Promises|Commands?|Horizon|DependencyInjection|DataCollector|Routing.Loader|Routing.Generator.Dumper|Extractor|Provider\\\\Null.*)\\\\|^Illuminate\\\\(Console|Broadcasting|Redis|Process|Concurrency|JsonSchema)\\\\|^Illuminate\\\\Mail\\\\(?!MailManager|MailServiceProvider)|^Illuminate\\\\Notifications\\\\(Channels|Slack|Messages.Slack)'
    .'|^Monolog\\\\(Handler\\\\(?!Stream|Abstract|Processable|Formattable|Handler|Fingers)|Test)|^Carbon\\\\(Laravel|PHPStan|Doctrine|Cli|MessageFormatter|Exceptions\\\\Doctrine)'
    .'|Redis|DynamoDb|Memcached|Sqs|Beanstalkd|SqlServer|MySql|MariaDb|SQLite|Foundation.*Cloud|AwsS3|BroadcastableModel|^Carbon.(CarbonPeriod|Translator)|DataCollector|FilterEmailValidation|ContextLogProcessor|IdentityMarshaller/';
foreach ($classes as $class => $file) {
    $ours = array_filter($wanted, static fn (string $space): bool => str_starts_with($class, $space.'\\')) !== [];
    $ours = $ours || $class === Symfony\Component\HttpKernel\HttpKernelInterface::class || $class === Symfony\Component\HttpKernel\TerminableInterface::class;
    if (! $ours || preg_match($left, $class) === 1 || ! is_file($file)) {
        continue;
    }
    $text = str_starts_with($class, 'App\\') ? (string) file_get_contents($file) : '';
    if (! preg_match('/extends (Command|AbstractTransport|Notification)\b/', $text)) {
        opcache_compile_file($file);
    }
}

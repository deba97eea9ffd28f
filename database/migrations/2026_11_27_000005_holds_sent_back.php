<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('learning_holds', function (Blueprint $table): void {
            $table->timestampTz('sent_back_at')->nullable()->comment('null again once the learner has asked anew');
            $table->foreignId('sent_back_by')->nullable()->constrained('people_users');
            $table->string('sent_back_reason', 300)->nullable();
        });
    }
};

// SPDX-License-Identifier: GPL-3.0-or-later
#include "art/art_desk.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/base/file.hpp>

#include <QFileInfo>
#include <cmath>

namespace chalkline::app {
namespace {

using ReadArt = Result<std::shared_ptr<const art::Artwork>>;

ReadArt shared(Result<art::Artwork> art) {
    if (!art) return tl::unexpected(art.error());
    return std::make_shared<const art::Artwork>(std::move(*art));
}

ReadArt read_file_as_art(const QString& path, const art::ReadOptions& options, const Surroundings& surroundings,
                         const Watch& watch) {
    auto bytes = read_file(path.toStdString());
    if (!bytes) return tl::unexpected(bytes.error());
    return shared(art::read(std::make_shared<const std::string>(std::move(*bytes)),
                            QFileInfo(path).fileName().toStdString(), options, surroundings.of_file(path.toStdString()),
                            watch));
}

/// A picture whose file states no size comes no larger than the piece it is meant for.
ReadArt fitted(ReadArt art, const std::optional<job::Stock>& stock, const Surroundings& surroundings,
               const Watch& watch) {
    if (!art || !stock || !(*art)->size_guessed) return art;
    constexpr double share = 0.8;  // of the stock
    const double scale = share * std::min(stock->width / (*art)->page.x, stock->height / (*art)->page.y);
    if (scale >= 1) return art;
    art::ReadOptions options = (*art)->read_with;
    options.picture_width = std::floor((*art)->page.x * scale);
    if (!(*options.picture_width >= 1)) return art;
    return shared(art::read_again(**art, options, surroundings.of_nothing(), watch));
}

/// The largest scale of the kind people use (1:2, 1:5, 1:10, …) at which the art fits.
double round_scale(double largest) {
    double scale = 1;
    for (int i = 0; scale > largest && i < 40; ++i) {
        const double decade = std::pow(10, i / 3);
        constexpr double steps[]{2, 5, 10};
        scale = 1 / (steps[i % 3] * decade);
    }
    return scale;
}

}  // namespace

ArtDesk::ArtDesk(JobDocument& document, machine::MachineProfile machine,
                 std::shared_ptr<const Surroundings> surroundings, QObject* parent)
    : QObject(parent), document_(document), machine_(std::move(machine)), surroundings_(std::move(surroundings)) {
    connect(&document_, &JobDocument::changed, this, &ArtDesk::follow);
    connect(&watcher_, &QFileSystemWatcher::fileChanged, this, &ArtDesk::file_changed);
}

void ArtDesk::bring_in(const QStringList& paths) {
    enqueue([paths, stock = document_.job().stock, surroundings = surroundings_](const Watch& watch) {
        std::vector<Read> all;
        for (const QString& path : paths)
            all.push_back(
                {path, fitted(read_file_as_art(path, {}, *surroundings, watch), stock, *surroundings, watch)});
        return all;
    });
}

void ArtDesk::bring_in_page(job::Id id, int page) {
    const job::Motif* motif = document_.job().motif(id);
    if (!motif) return;
    enqueue([art = motif->art, page, surroundings = surroundings_](const Watch& watch) {
        art::ReadOptions options = art->read_with;
        options.page = page;
        options.part.reset();
        options.removed.clear();
        std::vector<Read> all;
        all.push_back({{}, shared(art::read_again(*art, options, surroundings->of_nothing(), watch))});
        return all;
    });
}

void ArtDesk::bring_in(const QByteArray& bytes, const QString& name) {
    enqueue([bytes, name, stock = document_.job().stock, surroundings = surroundings_](const Watch& watch) {
        auto art = shared(art::read(std::make_shared<const std::string>(bytes.toStdString()), name.toStdString(), {},
                                    surroundings->of_nothing(), watch));
        std::vector<Read> all;
        all.push_back({{}, fitted(std::move(art), stock, *surroundings, watch)});
        return all;
    });
}

void ArtDesk::enqueue(Reading reading) {
    queue_.push_back(std::move(reading));
    if (!bringing_.running()) start_next();
    Q_EMIT changed();
}

void ArtDesk::stop_reading() {
    queue_.clear();
    bringing_.cancel();
    rereading_.cancel();
    pending_.clear();
    Q_EMIT changed();
}

void ArtDesk::start_next() {
    if (queue_.empty()) return;
    bringing_.start(std::move(queue_.front()), [this](std::vector<Read> all) {
        take_in(std::move(all));
        start_next();
    });
    queue_.pop_front();
}

void ArtDesk::take_in(std::vector<Read> all) {
    // One edit for all files; a bad one is said and the others still come in.
    job::Job job = document_.job();
    std::size_t added = 0;
    for (Read& read : all) {
        if (!read.art) {
            Q_EMIT message(wording::describe(read.art.error()));
            continue;
        }
        if (const auto fits = job::fits_bed(**read.art, machine_); !fits && !read.size_accepted) {
            const auto box = art::bounds(**read.art);
            const double largest = std::min(machine_.width / box.width(), machine_.depth / box.height());
            too_large_.push_back({*read.art, read.path, wording::describe(fits.error()), round_scale(largest)});
            continue;
        }
        job = job::add_art(std::move(job), *read.art, machine_);
        if (!read.path.isEmpty()) {
            origins_[job.last_motif()] = read.path;
            watcher_.addPath(read.path);
        }
        ++added;
    }
    if (added > 0) {
        (void)document_.edit(tr("Add art"), job, JobChange::art | JobChange::place | JobChange::steps);
        Q_EMIT brought_in();
    }
    if (!too_large_.empty()) Q_EMIT brought_in();
    Q_EMIT changed();
}

art::ReadOptions ArtDesk::options_of(job::Id id) const {
    if (const auto found = pending_.find(id); found != pending_.end()) return found->second;
    const job::Motif* motif = document_.job().motif(id);
    return motif ? motif->art->read_with : art::ReadOptions{};
}

void ArtDesk::read_again(job::Id id, const art::ReadOptions& options, const QString& name, job::Anchor anchor) {
    const job::Motif* motif = document_.job().motif(id);
    if (!motif || options_of(id) == options) return;
    pending_ = {{id, options}};
    rereading_.start(
        [art = motif->art, options, surroundings = surroundings_](const Watch& watch) {
            return shared(art::read_again(*art, options, surroundings->of_nothing(), watch));
        },
        [this, id, name, anchor](ReadArt art) {
            pending_.clear();
            const auto done = art ? document_.edit(name, job::replace_art(document_.job(), id, *art, anchor),
                                                   JobChange::art | JobChange::place | JobChange::steps)
                                  : Result<void>(tl::unexpected(art.error()));
            if (!done) Q_EMIT message(wording::describe(done.error()));
            Q_EMIT changed();
        });
    Q_EMIT changed();
}

void ArtDesk::bring_in_at_scale(std::size_t index, double scale) {
    const TooLarge waiting = too_large_.at(index);
    too_large_.erase(too_large_.begin() + static_cast<std::ptrdiff_t>(index));
    // The maker has seen the size and chose: no second question.
    enqueue([waiting, scale, surroundings = surroundings_](const Watch& watch) {
        art::ReadOptions options = waiting.art->read_with;
        options.scale *= scale;
        std::vector<Read> all;
        all.push_back(
            {waiting.path, shared(art::read_again(*waiting.art, options, surroundings->of_nothing(), watch)), true});
        return all;
    });
}

void ArtDesk::drop_too_large(std::size_t index) {
    too_large_.erase(too_large_.begin() + static_cast<std::ptrdiff_t>(index));
    Q_EMIT changed();
}

// ---------------------------------------------------------------- faults

const std::vector<art::Find>* ArtDesk::finds(job::Id id) const {
    const job::Motif* motif = document_.job().motif(id);
    const auto found = motif ? finds_.find(motif->art) : finds_.end();
    return found == finds_.end() ? nullptr : &found->second;
}

void ArtDesk::follow(JobChange change) {
    if (touches(change, JobChange::file) && document_.job().motifs.empty()) origins_.clear();
    if (touches(change, JobChange::art)) look_for_faults();
}

void ArtDesk::look_for_faults() {
    const auto& motifs = document_.job().motifs;
    std::erase_if(finds_, [&](const auto& entry) {
        return std::none_of(motifs.begin(), motifs.end(),
                            [&](const job::Motif& motif) { return motif.art == entry.first; });
    });
    std::vector<std::shared_ptr<const art::Artwork>> unknown;
    for (const job::Motif& motif : motifs)
        if (!finds_.contains(motif.art)) unknown.push_back(motif.art);
    if (unknown.empty()) return;
    using Found = std::vector<std::pair<std::shared_ptr<const art::Artwork>, std::vector<art::Find>>>;
    examining_.start(
        [unknown](const Watch& watch) {
            Found found;
            for (const auto& art : unknown)
                found.emplace_back(art, art::examine(*art, art->read_with.limits, watch));
            return found;
        },
        [this](Found found) {
            for (auto& [art, finds] : found)
                finds_[art] = std::move(finds);
            Q_EMIT changed();
        });
}

// ---------------------------------------------------------------- files that change

void ArtDesk::file_changed(const QString& path) {
    // Programs that replace a file make the watch lose it.
    if (QFileInfo::exists(path)) watcher_.addPath(path);
    const bool ours = std::any_of(origins_.begin(), origins_.end(), [&](const auto& origin) {
        return origin.second == path && document_.job().motif(origin.first);
    });
    if (!ours || changed_.contains(path)) return;
    changed_ << path;
    Q_EMIT changed();
}

void ArtDesk::keep_as_read(const QString& path) {
    changed_.removeAll(path);
    Q_EMIT changed();
}

void ArtDesk::read_changed(const QString& path) {
    changed_.removeAll(path);
    std::vector<std::pair<job::Id, art::ReadOptions>> wanted;
    for (const auto& [id, origin] : origins_)
        if (const job::Motif* motif = document_.job().motif(id); motif && origin == path)
            wanted.emplace_back(id, motif->art->read_with);
    rereading_.start(
        [path, wanted, surroundings = surroundings_](const Watch& watch) {
            std::vector<ReadArt> all;
            for (auto [id, options] : wanted) {
                options.removed.clear();  // the shapes are counted anew
                all.push_back(read_file_as_art(path, options, *surroundings, watch));
            }
            return all;
        },
        [this, wanted](std::vector<ReadArt> all) {
            job::Job job = document_.job();
            for (std::size_t i = 0; i < all.size(); ++i) {
                auto with = all[i] ? job::replace_art(job, wanted[i].first, *all[i], job::Anchor::page)
                                   : Result<job::Job>(tl::unexpected(all[i].error()));
                if (!with) return Q_EMIT message(wording::describe(with.error()));
                job = std::move(*with);
            }
            pending_.clear();
            (void)document_.edit(tr("Read again"), std::move(job),
                                 JobChange::art | JobChange::place | JobChange::steps);
            Q_EMIT changed();
        });
    Q_EMIT changed();
}

}  // namespace chalkline::app

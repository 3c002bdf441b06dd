// SPDX-License-Identifier: GPL-3.0-or-later
#include "trays/art/page_chooser.hpp"

#include "widgets/controls.hpp"
#include "widgets/flow_layout.hpp"

#include <chalkline/art/reader.hpp>
#include <chalkline/pictures/view.hpp>

#include <QGuiApplication>
#include <QIcon>
#include <QPixmap>
#include <QToolButton>
#include <QVBoxLayout>

namespace chalkline::app {

PageChooser::PageChooser(job::Id motif, const TrayContext& context, QWidget* parent)
    : QWidget(parent), motif_(motif), context_(context) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->addWidget(make_label(tr("Pages"), Tone::heading, this));
    auto* wait = make_label(tr("Drawing the pages…"), Tone::quiet, this);
    wait->setObjectName("wait");
    all->addWidget(wait);
    constexpr int longest = 84;  // px
    drawing_.start([source = context_.document.job().motif(motif)->art->source](
                       const Watch& watch) { return art::page_pictures(*source, longest, most_shown, watch); },
                   [this](const Result<std::vector<raster::RgbImage>>& pages) {
                       if (pages) show_pages(*pages);
                   });
}

void PageChooser::show_pages(const std::vector<raster::RgbImage>& pages) {
    delete findChild<QWidget*>("wait");
    const job::Motif* motif = context_.document.job().motif(motif_);
    if (!motif) return;
    auto* grid = new FlowLayout(6);
    for (std::size_t i = 0; i < pages.size(); ++i) {
        const raster::RgbImage& page = pages[i];
        const int number = static_cast<int>(i) + 1;
        const QImage image = pictures::view_of(page);
        auto* button = new QToolButton(this);
        button->setIcon(QIcon(QPixmap::fromImage(image)));
        button->setIconSize(image.size());
        button->setText(QString::number(number));
        button->setToolButtonStyle(Qt::ToolButtonTextUnderIcon);
        button->setCheckable(true);
        button->setChecked(motif->art->read_with.page == number);
        button->setAccessibleName(tr("Page %1").arg(number));
        button->setToolTip(tr("Click: this page instead. Ctrl+click: this page as well"));
        connect(button, &QToolButton::clicked, this, [this, button, number, there = button->isChecked()] {
            if (QGuiApplication::keyboardModifiers() & Qt::ControlModifier) {
                button->setChecked(there);
                return context_.art.bring_in_page(motif_, number);
            }
            art::ReadOptions options = context_.art.options_of(motif_);
            options.page = number;
            options.part.reset();
            options.removed.clear();
            context_.art.read_again(motif_, options, tr("Choose page %1").arg(number));
        });
        grid->addWidget(button);
    }
    auto* all = static_cast<QVBoxLayout*>(layout());
    all->addLayout(grid);
    if (motif->art->pages > most_shown) {
        auto* row = new QHBoxLayout;
        row->addWidget(make_label(tr("Page of %1").arg(motif->art->pages), Tone::quiet, this), 1);
        auto* field = make_count_field(tr("Page"), this);
        field->setFixedWidth(84);
        field->show_value(motif->art->read_with.page);
        connect(field, &ValueField::committed, this, [this](double number) {
            art::ReadOptions options = context_.art.options_of(motif_);
            options.page = static_cast<int>(number);
            context_.art.read_again(motif_, options, tr("Choose page %1").arg(options.page));
        });
        row->addWidget(field);
        all->addLayout(row);
    }
}

}  // namespace chalkline::app
